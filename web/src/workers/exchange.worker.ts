import { expose } from 'comlink';
import type { Drawn } from '#core/cane';
import {
  readCane,
  readFile,
  readPatternFile,
  readSvg,
  type CaneFile,
  type FileContent,
  type PatternFile,
} from '#core/formats';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** Reads files that people bring. */
const worker = {
  /** Colours or mixes, by the ending of the file. */
  async read(file: File): Promise<FileContent> {
    return readFile(file.name, new Uint8Array(await file.arrayBuffer()));
  },
  /** A cane as a document. @throws Complaint */
  async cane(file: File): Promise<CaneFile> {
    return readCane(await file.text());
  },
  /** A patterned sheet as a document. @throws Complaint */
  async pattern(file: File): Promise<PatternFile> {
    return readPatternFile(await file.text());
  },
  /** The regions of a drawing. @throws Complaint */
  async svg(file: File): Promise<Drawn> {
    return readSvg(await file.text());
  },
};
export type ExchangeWorker = typeof worker;

expose(worker);
