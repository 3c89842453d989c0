export { writeAse } from './ase.js';
export { readCane, standAlone, writeCane, type CaneFile } from './cane.js';
export { writeCss } from './css.js';
export { writeColourCsv, writeMixCsv, writeTable } from './csv.js';
export { fewFaults, type ColourFile, type FileFault, type FileContent, type MixLine, type MixOut } from './files.js';
export { writeGpl } from './gpl.js';
export { writeColourJson, writeMixJson } from './json.js';
export { readFile } from './readFile.js';
export { readSvg } from './svg.js';
