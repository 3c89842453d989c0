export { writeAse } from './ase.js';
export * from './cane.js';
export { writeCss } from './css.js';
export { writeColourCsv, writeMixCsv } from './csv.js';
export {
  MOST_FILE_MIXES,
  fewFaults,
  type ColourFile,
  type Fault,
  type FileContent,
  type MixLine,
  type MixOut,
  type NamedColour,
} from './files.js';
export { writeGpl } from './gpl.js';
export { JSON_VERSION, writeColourJson, writeMixJson } from './json.js';
export { readSvg } from './svg.js';
export { READABLE, readFile } from './readFile.js';
