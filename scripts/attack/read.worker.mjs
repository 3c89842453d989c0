// Reads one file after the other, as the window's worker does.
import { parentPort } from 'node:worker_threads';
import { Complaint } from '../../dist/core/src/units/index.js';
import { readCane, readFile, readSvg, standAlone } from '../../dist/core/src/formats/index.js';
import { contextOf, planBackwards, readProgram } from '../../dist/core/src/cane/index.js';

const text = (bytes) => new TextDecoder().decode(bytes);

/** A cane that can be read is saved with its canes copied into it, and planned. */
function readAndPlan(bytes) {
  const file = readCane(text(bytes));
  const program = readProgram(JSON.parse(JSON.stringify(standAlone(file, (key) => key))));
  planBackwards(
    program.steps,
    { slices: file.slices, thickness: file.sliceMm, ends: 1, trimming: 'once at the end' },
    contextOf(),
  );
  return { cane: file.name, bytes: JSON.stringify(program).length };
}

const READERS = {
  cane: readAndPlan,
  svg: (bytes) => {
    const drawn = readSvg(text(bytes));
    return { regions: drawn.regions.length, bytes: JSON.stringify(drawn).length };
  },
};

parentPort.on('message', ({ name, bytes }) => {
  const ending = name.split('.').at(-1);
  try {
    const read = READERS[ending] ? READERS[ending](bytes) : readFile(name, bytes);
    parentPort.postMessage({ read });
  } catch (error) {
    if (error instanceof Complaint) parentPort.postMessage({ said: error.message });
    else parentPort.postMessage({ crashed: `${error?.stack ?? error}`.slice(0, 600) });
  }
});
