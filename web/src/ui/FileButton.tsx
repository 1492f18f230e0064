import { useRef } from 'react';
import Button from 'react-bootstrap/Button';

interface FileButtonProps {
  /** What the button says. */
  children: string;
  /** What the file is, for those who do not see the button. */
  label: string;
  /** The kinds of file that are offered, as `accept` takes them. */
  accept: string;
  disabled?: boolean;
  onFile: (file: File) => void;
}

/** A button that asks for a file; the same file may be chosen twice running, since it may have been mended between. */
export function FileButton({ children, label, accept, disabled = false, onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outline-secondary" disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="visually-hidden"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen !== undefined) onFile(chosen);
          event.target.value = '';
        }}
      />
    </>
  );
}
