import Button from 'react-bootstrap/Button';

export const FIND = 'chartula:find';

/** Opens the finder for whoever does not know its key. */
export function FindButton() {
  return (
    <Button variant="outline-secondary" onClick={() => window.dispatchEvent(new Event(FIND))}>
      Find <span className="key">/</span>
    </Button>
  );
}
