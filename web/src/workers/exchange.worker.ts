import { expose } from 'comlink';
import type { Drawn } from '#core/cane';
import { readCane, readFile, readSvg, type CaneFile, type FileContent } from '#core/formats';
import { orSentence } from '#core/units';

/** Reads files that people bring. What is wrong with one comes back as a sentence. */
const worker = {
  /** Colours or mixes, by the ending of the file. */
  async read(file: File): Promise<FileContent> {
    return readFile(file.name, new Uint8Array(await file.arrayBuffer()));
  },
  /** A cane as a document. */
  async cane(file: File): Promise<CaneFile | string> {
    const text = await file.text();
    return orSentence(() => readCane(text));
  },
  /** The regions of a drawing. */
  async svg(file: File): Promise<Drawn | string> {
    const text = await file.text();
    return orSentence(() => readSvg(text));
  },
};
export type ExchangeWorker = typeof worker;

expose(worker);
