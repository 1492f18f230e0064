import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Spinner from 'react-bootstrap/Spinner';
import { ApiError } from '../api/client';

export function Loading({ what }: { what: string }) {
  return (
    <div className="desk">
      <p role="status" className="sheet">
        <Spinner animation="border" size="sm" aria-hidden="true" /> Opening {what} …
      </p>
    </div>
  );
}

export function Failed({ error, again }: { error: Error; again: () => void }) {
  const gone = error instanceof ApiError && error.status === 404;
  return (
    <div className="desk">
      <div className="sheet" role="alert">
        <h1>{gone ? 'This is not here' : 'That did not work'}</h1>
        <p>{gone ? 'It may have been removed, or it belongs to somebody else.' : error.message}</p>
        <Button onClick={again} className="me-2">
          Try again
        </Button>
        <a href="/">Back to the projects</a>
      </div>
    </div>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="sheet">
      <h2>{title}</h2>
      {children}
    </div>
  );
}
