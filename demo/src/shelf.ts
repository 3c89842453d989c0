import type { BlockDto, ClayDto, LineDto } from '#contract';
import { idOf } from './id.js';

type LineRow = readonly [string, LineDto['firmness'], number, boolean, number, number, number];
const LINES: readonly LineRow[] = [
  // name, firmness, density, measured, bake °C, minutes for 6 mm, maximum °C
  ['Hearth Firm', 'firm', 1.9, false, 130, 30, 150],
  ['Brook Soft', 'soft', 1.84, true, 120, 20, 135],
  ['Clearpane', 'medium', 1.75, true, 125, 20, 135],
  ['Lustre', 'medium', 1.9, false, 130, 30, 150],
  ['Oldrow Crumble', 'crumbly', 1.95, true, 120, 25, 140],
];

type ClayRow = readonly [string, string, ClayDto['kind'], string, string];
const CLAYS: readonly ClayRow[] = [
  // line, name, kind, raw, baked
  ['Hearth Firm', 'Chalk', 'opaque', 'F4F2EA', 'F1EEE4'],
  ['Hearth Firm', 'Soot', 'opaque', '2B292F', '26242A'],
  ['Hearth Firm', 'Beetroot', 'opaque', '862355', '7B1E4B'],
  ['Hearth Firm', 'Radish', 'opaque', 'DB4568', 'D23B5E'],
  ['Hearth Firm', 'Squash', 'opaque', 'E6A43C', 'E29A2E'],
  ['Brook Soft', 'Leek', 'opaque', '578A4D', '4F7F45'],
  ['Brook Soft', 'Pea', 'opaque', '9CC155', '93B84C'],
  ['Brook Soft', 'Corn', 'opaque', 'F3D265', 'F0CB55'],
  ['Brook Soft', 'Turnip', 'opaque', 'D3B2CF', 'CDA9CB'],
  ['Clearpane', 'Clearpane', 'translucent', 'E9E7DC', 'E4E0D2'],
  ['Lustre', 'Brass Lustre', 'mica', 'B59044', 'B08A3C'],
  ['Lustre', 'Pewter Lustre', 'mica', '9EA1A7', '9A9DA3'],
  ['Oldrow Crumble', 'Carrot', 'opaque', 'E9783A', 'E7712C'],
  ['Oldrow Crumble', 'Aubergine', 'opaque', '45295A', '3D2551'],
];

type BlockRow = readonly [string, number, string, string | null, number | null];
const BLOCKS: readonly BlockRow[] = [
  // clay, grams left of 57, date code as stamped, made on, paid
  ['Chalk', 57, '260511', '2026-05-11', 2.4],
  ['Chalk', 57, '260511', '2026-05-11', 2.4],
  ['Chalk', 44, '251103', '2025-11-03', 2.3],
  ['Soot', 42, '25W14', '2025-03-31', 2.4],
  ['Beetroot', 57, '260302', '2026-03-02', 2.6],
  ['Beetroot', 20, '250818', '2025-08-18', 2.6],
  ['Radish', 57, '260302', '2026-03-02', 2.6],
  ['Squash', 57, '260511', '2026-05-11', 2.6],
  ['Squash', 20, '250120', '2025-01-20', 2.5],
  ['Leek', 57, '2026-04', '2026-04-01', 2.1],
  ['Leek', 39, '2025-09', '2025-09-01', 2.1],
  ['Pea', 54, '2026-04', '2026-04-01', 2.1],
  ['Corn', 57, '2026-02', '2026-02-01', 2.1],
  ['Corn', 8, '2025-02', '2025-02-01', 2.1],
  ['Turnip', 33, '2025-09', '2025-09-01', 2.1],
  ['Clearpane', 57, '26-120', '2026-04-30', 3.1],
  ['Clearpane', 57, '26-120', '2026-04-30', 3.1],
  ['Clearpane', 22, '25-201', '2025-07-20', 3.1],
  ['Brass Lustre', 57, '260209', '2026-02-09', 3.4],
  ['Brass Lustre', 18, '', null, null],
  ['Pewter Lustre', 44, '260209', '2026-02-09', 3.4],
  ['Carrot', 57, '2021-09', '2021-09-01', 2.4],
  ['Aubergine', 15, '2022-11', '2022-11-01', 2.4],
];

export const lines: readonly LineDto[] = LINES.map(
  ([name, firmness, density, densityMeasured, bakeC, bakeMinutes, maxC]) => ({
    id: idOf(`line ${name}`),
    version: 0,
    name,
    firmness,
    density,
    densityMeasured,
    bakeC,
    bakeMinutes,
    bakePerMm: 6,
    maxC,
  }),
);

export const clays: readonly ClayDto[] = CLAYS.map(([line, name, kind, rawHex, bakedHex]) => ({
  id: idOf(`clay ${name}`),
  version: 0,
  lineId: idOf(`line ${line}`),
  name,
  kind,
  rawHex,
  bakedHex,
  strength: null,
  retired: false,
}));

export const blocks: readonly BlockDto[] = BLOCKS.map(([clay, leftGrams, dateCode, madeOn, price], i) => ({
  id: idOf(`block ${i}`),
  version: 0,
  clayId: idOf(`clay ${clay}`),
  netGrams: 57,
  leftGrams,
  madeOn,
  dateCode,
  price,
}));
