import { useRef, type ReactElement, type ReactNode } from 'react';
import { Word } from '../theme/pieces.js';

interface FileWordProps {
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
}

/** A word that opens a file; the field behind it stays out of sight and out of the way of the Tab key. */
export function FileWord({ label, accept, onFile, children }: FileWordProps): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        tabIndex={-1}
        style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
        onChange={(e) => {
          const [file] = e.currentTarget.files ?? [];
          if (file) onFile(file);
          e.currentTarget.value = '';
        }}
      />
      <Word
        onClick={() => {
          input.current?.click();
        }}
      >
        {children}
      </Word>
    </>
  );
}
