import { useRef, type ReactElement, type ReactNode, type RefObject } from 'react';
import { Word } from '../theme/pieces.js';

interface FileFieldProps {
  readonly field: RefObject<HTMLInputElement | null>;
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

/** The field behind a word or a button: out of sight, and out of the way of the Tab key. */
export function FileField({ field, label, accept, onFile }: FileFieldProps): ReactElement {
  return (
    <input
      ref={field}
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
  );
}

interface FileWordProps extends Omit<FileFieldProps, 'field'> {
  readonly children: ReactNode;
}

/** A word that opens a file. */
export function FileWord({ children, ...own }: FileWordProps): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <FileField field={input} {...own} />
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
