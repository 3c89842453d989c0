import { expose } from 'comlink';
import { readFile, type FileContent } from '#core/formats';

const worker = {
  /** Reads a file of colours or mixes by its ending. */
  async read(file: File): Promise<FileContent> {
    return readFile(file.name, new Uint8Array(await file.arrayBuffer()));
  },
};
export type ExchangeWorker = typeof worker;

expose(worker);
