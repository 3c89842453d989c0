// npm run kernel: builds the vector instructions from core/kernel and writes them down as modules of core.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import asc from 'assemblyscript/asc';
import { root } from './prepare.mjs';

/** Each kernel: its source in core/kernel, the module it is written to, and its name there. */
export const KERNELS = [
  { source: 'predict.ts', module: 'core/src/colour/kernelBytes.ts', name: 'PREDICT' },
  { source: 'search.ts', module: 'core/src/mix/find/kernelBytes.ts', name: 'SEARCH' },
];
const WIDTH = 110;

/** The module with the built bytes of a kernel, as it is written down. */
export async function kernelModule({ source, name }) {
  let bytes = null;
  const { error, stderr } = await asc.main(
    [
      source,
      '--outFile',
      'kernel.wasm',
      '--enable',
      'simd',
      '--runtime',
      'stub',
      '-O3',
      '--noAssert',
      '--use',
      'abort=',
    ],
    {
      readFile: (file) => {
        try {
          return readFileSync(join(root, 'core', 'kernel', file), 'utf8');
        } catch {
          return null;
        }
      },
      writeFile: (file, contents) => {
        if (file.endsWith('.wasm')) bytes = contents;
      },
      listFiles: () => [],
    },
  );
  if (error || bytes === null) throw new Error(`The kernel was not built.\n${stderr.toString()}`);
  const text = Buffer.from(bytes).toString('base64');
  const lines = text.match(new RegExp(`.{1,${WIDTH}}`, 'g')) ?? [];
  return (
    '/** Built from core/kernel by `npm run kernel`; a test holds that it is. */\n' +
    `export const ${name} = [\n${lines.map((line) => `  '${line}',\n`).join('')}].join('');\n`
  );
}

if (process.argv[1]?.endsWith('kernel.mjs')) {
  for (const kernel of KERNELS) writeFileSync(join(root, kernel.module), await kernelModule(kernel));
  console.log('The kernels are built.');
}
