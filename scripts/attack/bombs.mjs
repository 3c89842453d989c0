// Small files that once blew up, and their kin. Each is a name and its bytes.
const bytes = (text) => new TextEncoder().encode(text);
const json = (value) => bytes(JSON.stringify(value));
const many = (n, one) => Array.from({ length: n }, (_, i) => one(i));
const spiral = (i) => [Math.cos, Math.sin].map((f) => 50 + (i / 700) * f(i / 40)).join();
const svg = (inside, head = '') =>
  bytes(`${head}<svg xmlns="http://www.w3.org/2000/svg" width="40mm" viewBox="0 0 100 100">${inside}</svg>`);
const log = (id, more = {}) => ({ id, do: 'log', of: 'clay:a', diameter: 20, length: 50, ...more });
const cane = (steps, canes = {}, more = {}) =>
  json({
    kind: 'cane',
    version: 1,
    name: 'Bomb',
    program: { version: 1, steps },
    canes,
    materials: {},
    slices: 20,
    sliceMm: 2,
    ...more,
  });
const ragged = (points) =>
  `M0 0${many(points, (i) => `L${(i % 311) / 3.11 + (i % 7) * 0.3} ${((i * 7919) % 100003) / 1000.03}`).join('')}z`;
const doubled = (depth) =>
  Object.fromEntries(
    many(depth, (i) => [
      `c${i}`,
      {
        name: `c${i}`,
        program: {
          version: 1,
          steps:
            i === 0
              ? [log('l')]
              : [
                  { id: 'a', do: 'cane', part: { ref: `c${i - 1}` } },
                  ...many(3, (k) => ({
                    id: `i${k}`,
                    do: 'insert',
                    part: { ref: `c${i - 1}` },
                    x: k - 1,
                    y: 0,
                    diameter: 2,
                    degrees: 0,
                  })),
                ],
        },
      },
    ]),
  );
const nested = (depth) => {
  let steps = [log('l')];
  for (let i = 0; i < depth; i++) steps = [{ id: 'c', do: 'cane', part: { steps } }];
  return steps;
};
const bundle = (id, count) => ({ id, do: 'bundle', count, to: { shape: 'round' }, seed: 1 });
const mixes = (lines) => json({ format: 'sledge', version: 1, mixes: lines });
const mix = (name, recipe) => ({ name, recipe, basis: 'volume', note: '' });

export const BOMBS = [
  ['braces.svg', svg(`<style>${'a'.repeat(400_000)}</style><rect width="9" height="9"/>`)],
  ['braces2.svg', svg(`<style>${'{'.repeat(200_000)}</style><rect width="9" height="9"/>`)],
  ['braces3.svg', svg(`<style>${'.a{fill:red'.repeat(40_000)}</style><rect width="9" height="9"/>`)],
  ['doctype.svg', svg('<rect width="9" height="9"/>', `<!DOCTYPE ${'x'.repeat(200_000)}`)],
  ['doctype2.svg', svg('<rect width="9" height="9"/>', `<!DOCTYPE svg [${'<!ELEMENT a b>'.repeat(20_000)}]>`)],
  ['doctype3.svg', svg('<rect width="9" height="9"/>', `<!DOCTYPE ${'['.repeat(200_000)}`)],
  ['entity.svg', svg('&a;', '<!DOCTYPE svg [<!ENTITY a "b">]>')],
  ['points.svg', svg(`<path d="${ragged(59_000)}"/>`)],
  ['points2.svg', svg(`<path d="${ragged(70_000)}"/>`)],
  ['points3.svg', svg(many(300, () => `<path d="${ragged(190)}"/>`).join(''))],
  ['teeth.svg', svg(`<path d="M0 0${many(58_000, (i) => `L${i / 580} ${i % 2 ? 100 : 1}`).join('')}z"/>`)],
  ['spiral.svg', svg('<polygon ' + `points="${many(30_000, spiral).join(' ')}"/>`)],
  ['groups.svg', svg(`${'<g>'.repeat(20_000)}<rect width="9" height="9"/>${'</g>'.repeat(20_000)}`)],
  ['groups2.svg', svg('<g>'.repeat(300_000))],
  ['open.svg', svg('<rect '.repeat(100_000))],
  ['quote.svg', svg(`<rect a="${'x'.repeat(900_000)}`)],
  ['many.svg', svg('<rect width="9" height="9"/>'.repeat(70_000))],
  ['moves.svg', svg(`<g transform="${'rotate(1) '.repeat(90_000)}"><rect width="9" height="9"/></g>`)],
  [
    'moves2.svg',
    svg(
      `<g transform="${'scale(1.0001) '.repeat(60)}">`.repeat(50) +
        `${'<rect width="9" height="9"/>'.repeat(390)}${'</g>'.repeat(50)}`,
    ),
  ],
  ['constructor.svg', svg('<constructor/><rect width="9" height="9" fill="constructor"/>')],
  ['proto.svg', svg('<rect class="__proto__ constructor" width="9" height="9" style="fill:toString"/>')],
  ['huge.svg', svg('<rect width="1e308" height="1e308"/><circle r="1e-300"/>')],
  ['nan.svg', svg('<path d="M NaN NaN L 1 1 2 2z"/>')],
  ['arc.svg', svg(`<path d="M0 0${'a1e9 1e9 0 1 1 1e-9 1e-9'.repeat(2000)}z"/>`)],
  ['comment.svg', svg(`<!--${'-'.repeat(500_000)}`)],
  ['cdata.svg', svg(`<![CDATA[${']'.repeat(500_000)}`)],
  ['empty.svg', bytes('')],
  ['style.svg', svg(`<rect style="${';'.repeat(300_000)}" width="9" height="9"/>`)],
  ['style2.svg', svg(`<rect style="${' '.repeat(300_000)}fill" width="9" height="9"/>`)],
  ['dashes.css', bytes('-'.repeat(100_000))],
  ['dashes2.css', bytes('--'.repeat(300_000))],
  ['dashes3.css', bytes(`${'--a:'.repeat(200_000)};`)],
  ['spaces.css', bytes(`--a${' '.repeat(400_000)}:#fff;`)],
  ['comments.css', bytes(`--a: #fff; ${'/*'.repeat(200_000)}`)],
  ['stars.css', bytes(`--a: #fff; /*${'*'.repeat(400_000)}`)],
  ['value.css', bytes(`--a: rgb(${'1,'.repeat(200_000)});`)],
  ['lab.css', bytes('--a: lab(1e999 1e999 1e999);')],
  ['lines.gpl', bytes(`GIMP Palette\n${'1 1 1\n'.repeat(300_000)}`)],
  ['spaces.gpl', bytes(`GIMP Palette\n1${' '.repeat(400_000)}x\n`)],
  ['digits.gpl', bytes(`GIMP Palette\n${'1'.repeat(400_000)}\n`)],
  ['blocks.ase', new Uint8Array([65, 83, 69, 70, 0, 1, 0, 0, 255, 255, 255, 255, ...new Array(60_000).fill(0)])],
  [
    'infinite.ase',
    new Uint8Array([
      65, 83, 69, 70, 0, 1, 0, 0, 0, 0, 0, 1, 0, 1, 0, 0, 0, 22, 0, 1, 0, 0, 76, 65, 66, 32, 127, 127, 255, 255, 127,
      127, 255, 255, 127, 127, 255, 255, 0, 2,
    ]),
  ],
  ['rows.csv', bytes(`name,recipe\n${many(40_000, (i) => `m${i},1 Chalk`).join('\n')}`)],
  ['quotes.csv', bytes(`name,recipe\n${'"'.repeat(300_001)}`)],
  ['columns.csv', bytes(`${'a,'.repeat(60_000)}recipe\n${'1,'.repeat(60_000)}`)],
  ['proto.csv', bytes('name,recipe,__proto__,constructor\na,1 Chalk,x,y')],
  ['deep.json', bytes('['.repeat(400_000))],
  ['deep2.json', bytes(`{"format":"sledge","version":1,"palette":${'{"a":'.repeat(100_000)}1${'}'.repeat(100_000)}}`)],
  ['numbers.json', bytes('{"format":"sledge","version":1,"palette":{"colours":[{"lab":[1e999,-1e999,5]}]}}')],
  ['mixes.json', mixes(many(40, (i) => mix(`m${i}`, i < 2 ? '1 Chalk' : `1 m${i - 1} + 1 m${i - 2}`)))],
  ['chain.json', mixes(many(3000, (i) => mix(`m${i}`, i === 0 ? '1 Chalk' : `1 m${i - 1} + 3 Soot`)))],
  ['brackets.json', mixes([mix('a', `${'('.repeat(1900)}1 Chalk${')'.repeat(1900)}`)])],
  ['canes.cane', cane([{ id: 'c', do: 'cane', part: { ref: 'c23' } }], doubled(24))],
  ['canes2.cane', cane([{ id: 'c', do: 'cane', part: { ref: 'c9' } }], doubled(10))],
  ['deep.cane', cane(nested(400))],
  [
    'deep2.cane',
    bytes(
      '{"kind":"cane","version":1,"name":"x","program":{"version":1,"steps":' +
        `${'[{"id":"c","do":"cane","part":{"steps":'.repeat(8000)}[]${'}}]'.repeat(8000)}}}`,
    ),
  ],
  ['bundles.cane', cane([log('l', { length: 1 }), ...many(20, (i) => bundle(`b${i}`, 300))])],
  [
    'bundles2.cane',
    cane([{ id: 'a', do: 'cane', part: { ref: 'x' } }, bundle('b', 300)], {
      x: {
        name: 'x',
        program: {
          version: 1,
          steps: [log('l'), bundle('c', 300), bundle('d', 300), bundle('e', 300), bundle('f', 300)],
        },
      },
    }),
  ],
  ['constructor.cane', cane([{ id: 'c', do: 'cane', part: { ref: 'constructor' } }])],
  [
    'proto.cane',
    bytes(
      '{"kind":"cane","version":1,"name":"x","program":{"version":1,"steps":' +
        '[{"id":"c","do":"cane","part":{"ref":"__proto__"}}]},' +
        '"canes":{"__proto__":{"name":"a","program":{"version":1,"steps":[]}}}}',
    ),
  ],
  [
    'circle.cane',
    cane([{ id: 'c', do: 'cane', part: { ref: 'x' } }], {
      x: { name: 'x', program: { version: 1, steps: [{ id: 'c', do: 'cane', part: { ref: 'x' } }] } },
    }),
  ],
  [
    'points.cane',
    cane([
      {
        id: 't',
        do: 'template',
        length: 50,
        regions: many(400, (i) => ({
          id: `r${i}`,
          name: 'r',
          fill: { of: 'clay:a' },
          points: many(900, (k) => [k % 31, k % 37]),
        })),
      },
    ]),
  ],
  ['step.cane', cane([{ id: 'c', do: 'toString' }])],
  [
    'grid.cane',
    cane([
      log('l'),
      { id: 'p', do: 'press', to: { shape: 'square' }, turn: 0 },
      ...many(70, (i) => ({ id: `g${i}`, do: 'grid', rows: 40, columns: 40, turns: 'none' })),
    ]),
  ],
];
