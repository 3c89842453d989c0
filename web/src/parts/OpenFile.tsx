import { Box, Flex } from '@chakra-ui/react';
import { useRef, type ReactElement, type ReactNode, type RefObject } from 'react';
import { useKeys } from '../state/keys.js';
import { Action, Key, Second } from '../theme/pieces.js';
import { FileField } from './FileWord.js';
import { Warning } from './Warning.js';

interface OpenFileProps {
  /** the page, as the list of keys names it */
  readonly place: string;
  readonly label: string;
  readonly accept: string;
  /** what is opened, after "Open" */
  readonly what: string;
  /** what it says while it works */
  readonly busy: string | null;
  readonly wrong: string | null;
  /** nothing else is there to do */
  readonly main?: boolean;
  readonly onFile: (file: File) => void;
  /** what else there is to say */
  readonly children: ReactNode;
}

/** Where a file is opened: by a button, by O, or dropped anywhere on its page. */
export function OpenFile({
  place,
  label,
  accept,
  what,
  busy,
  wrong,
  main,
  onFile,
  children,
}: OpenFileProps): ReactElement {
  const input: RefObject<HTMLInputElement | null> = useRef(null);
  const open = (): void => {
    input.current?.click();
  };
  useKeys(place, [{ key: 'o', does: `Open ${what}`, run: open }]);
  return (
    <Box border="dashed" padding={5}>
      <FileField field={input} label={label} accept={accept} onFile={onFile} />
      <Action main={main ?? false} disabled={busy !== null} onClick={open}>
        {busy ?? `Open ${what}`} <Key>O</Key>
      </Action>
      <Second> {children}</Second>
      {wrong !== null && (
        <Box marginTop={3}>
          <Warning>{wrong}</Warning>
        </Box>
      )}
    </Box>
  );
}

interface FilePageProps {
  readonly title: string;
  readonly about: string;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
}

/** A page that files can be dropped on. */
export function FilePage({ title, about, onFile, children }: FilePageProps): ReactElement {
  return (
    <Flex
      direction="column"
      gap={5}
      padding={5}
      overflowY="auto"
      minWidth={0}
      onDragOver={(e) => {
        e.preventDefault();
      }}
      onDrop={(e) => {
        e.preventDefault();
        const [file] = e.dataTransfer.files;
        if (file) onFile(file);
      }}
    >
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>{title}</h1>
        <Second>{about}</Second>
      </Flex>
      {children}
    </Flex>
  );
}
