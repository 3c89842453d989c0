import { dirname } from 'node:path';

/** A database file that Sledge will not open, with the sentence that says why and what to do. */
export class UnusableDatabase extends Error {}

/** Another Sledge has the data open. `address`: where it answers; null while it is still starting. */
export class RunningAlready extends Error {
  constructor(
    readonly file: string,
    readonly address: string | null,
  ) {
    super(
      address === null
        ? `Another Sledge has ${file} open and is just starting. Wait a moment and start again.`
        : `Sledge is running already, at ${address}  (data: ${file})`,
    );
  }
}

/** Codes of errors, and of those that they were caused by: SQLite's and the system's. */
export function codesOf(error: unknown): string[] {
  const codes: string[] = [];
  for (let one = error, depth = 0; one instanceof Error && depth < 6; one = one.cause, depth++) {
    const { code, extendedCode, message } = one as Error & { code?: unknown; extendedCode?: unknown };
    for (const said of [code, extendedCode]) if (typeof said === 'string') codes.push(said);
    codes.push(...(message.match(/\bSQLITE_[A-Z_]+\b/g) ?? []));
  }
  return codes;
}

const ELSEWHERE = 'Set SLEDGE_DATA to another folder.';

/** What a failure at opening means, by the beginning of its code. */
const SENTENCES: Readonly<Record<string, (file: string) => string>> = {
  SQLITE_CORRUPT: (file) =>
    `${file} is damaged. It was not changed. The newest copies lie in ${dirname(file)}/copies: put one ` +
    `in its place, under its name, or ${ELSEWHERE.toLowerCase()}`,
  SQLITE_NOTADB: (file) =>
    `${file} is not a database of Sledge. It was not touched. Move it away, or ${ELSEWHERE.toLowerCase()}`,
  SQLITE_FULL: (file) => `The disk with ${file} is full. Nothing was changed. Make room and start again.`,
  ENOSPC: (file) => `The disk with ${file} is full. Nothing was changed. Make room and start again.`,
  SQLITE_READONLY: (file) =>
    `${file} cannot be written: it or its folder is read-only. Give yourself the right to write there. ` +
    `Or: ${ELSEWHERE}`,
  EROFS: (file) => `${file} cannot be written: its disk is read-only. ${ELSEWHERE}`,
  SQLITE_CANTOPEN: (file) => `${file} cannot be opened. Look whether you may read and write there. Or: ${ELSEWHERE}`,
  SQLITE_IOERR: (file) =>
    `The disk with ${file} does not answer as it should. Nothing was changed. Look after the disk before ` +
    'you start again.',
  EACCES: (file) =>
    `You have no right to read and write ${file} and its folder. Give yourself the right. Or: ${ELSEWHERE}`,
  EPERM: (file) =>
    `You have no right to read and write ${file} and its folder. Give yourself the right. Or: ${ELSEWHERE}`,
  ENOTDIR: (file) => `${dirname(file)} is a file; a folder is wanted there. ${ELSEWHERE}`,
  EEXIST: (file) => `${dirname(file)} is a file; a folder is wanted there. ${ELSEWHERE}`,
};

/** The failure as a sentence where it is one of the disk or the file; otherwise as it is. */
export function asUnusable(error: unknown, file: string): unknown {
  if (error instanceof UnusableDatabase || error instanceof RunningAlready) return error;
  for (const code of codesOf(error)) {
    const known = Object.keys(SENTENCES).find((start) => code.startsWith(start));
    const sentence = known === undefined ? undefined : SENTENCES[known];
    if (sentence) return new UnusableDatabase(sentence(file));
  }
  return error;
}
