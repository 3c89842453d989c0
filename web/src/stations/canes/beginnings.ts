import { freeName } from '../../parts/names.js';
import { keyOf, materialIn, ofBlend, ofClay, ofMix } from '#core/material';
import { PROGRAM_VERSION, type Program, type StartColours } from '#core/cane';
import type { CaneFile } from '#core/formats';
import type { BlendCard, CaneDto, ClayDto, MixListAnswer, ShelfAnswer } from '#contract';
import { ask } from '../../wire/ask.js';

type Steps = Program['steps'];

/** Red, green and blue of six digits. */
const channels = (hex: string): readonly number[] => [0, 2, 4].map((i) => parseInt(hex.slice(i, i + 2), 16));
const lightness = ({ bakedHex }: ClayDto): number => channels(bakedHex).reduce((a, b) => a + b, 0);
const vividness = ({ bakedHex }: ClayDto): number => Math.max(...channels(bakedHex)) - Math.min(...channels(bakedHex));

/** Tints that a lace is begun with, at most. */
const GLASSES = 6;

/**
 * The colours that a starting point gets: somebody's own clays, far apart, and a blend of theirs; null where there is
 * no opaque clay.
 * @param tints revisions of mixes that are glass: a lace is begun with those, and with clear clay after them
 */
export function coloursFor(
  shelf: ShelfAnswer,
  blends: readonly BlendCard[],
  tints: readonly string[],
): StartColours | null {
  const clays = shelf.clays.filter((c) => !c.retired);
  const opaque = clays.filter((c) => c.kind === 'opaque');
  const byLight = [...opaque].sort((a, b) => lightness(a) - lightness(b));
  const vivid = [...opaque].sort((a, b) => vividness(b) - vividness(a));
  const [dark, pale] = [byLight[0], byLight.at(-1)];
  if (!dark || !pale) return null;
  const key = (id: string | undefined): string => keyOf(ofClay(id ?? pale.id));
  const glass = clays.filter((c) => c.kind === 'translucent').map((c) => key(c.id));
  const blend = blends.find((b) => !b.retired);
  return {
    dark: key(dark.id),
    light: key(pale.id),
    strong: key(vivid[0]?.id),
    second: key(vivid[1]?.id),
    glass: [...tints.map((id) => keyOf(ofMix(id))), ...glass].slice(0, GLASSES),
    fade: blend ? keyOf(ofBlend(blend.revisionId)) : key(vivid[0]?.id),
  };
}

/** The simplest beginnings, from which all else is built. */
export const logOf = (c: StartColours): Steps => [
  { id: crypto.randomUUID(), do: 'log', of: c.strong, diameter: 24, length: 60 },
];

export const stripesOf = (c: StartColours): Steps => [
  {
    id: crypto.randomUUID(),
    do: 'loaf',
    layers: [
      { of: c.light, thickness: 2 },
      { of: c.strong, thickness: 2 },
    ],
    times: 4,
    width: 30,
    length: 60,
  },
];

export const templateOf = (c: StartColours): Steps => [
  {
    id: crypto.randomUUID(),
    do: 'template',
    length: 60,
    regions: [
      {
        id: 'ground',
        name: 'ground',
        points: [
          [-22, -16],
          [22, -16],
          [22, 16],
          [-22, 16],
        ],
        fill: { of: c.light },
      },
    ],
  },
];

/** A cane that is not on the server yet, under a name that is not taken. @param taken in small letters */
export const newCane = (
  name: string,
  steps: Steps,
  taken: ReadonlySet<string>,
  more: Partial<CaneDto> = {},
): CaneDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name: freeName(name, taken),
  note: '',
  retired: false,
  program: { version: PROGRAM_VERSION, steps: [...steps] },
  slices: 40,
  sliceMm: 2,
  trimming: 'once at the end',
  ends: null,
  ...more,
});

/** What a material of a file is called, in small letters. */
type Named = Pick<CaneFile, 'materials'>;
const nameIn = (file: Named, key: string): string | undefined =>
  Object.hasOwn(file.materials, key) ? file.materials[key]?.name.toLowerCase() : undefined;

/** Mixes that are looked through for one of a name. */
const MOST_LOOKED = 500;

/** The newest revisions of the mixes that a file names, by their names in small letters. @throws Refused, NoAnswer */
export async function mixesNamed(file: Named): Promise<ReadonlyMap<string, string>> {
  const names = new Set(
    Object.keys(file.materials)
      .filter((key) => materialIn(key)?.kind === 'mix')
      .map((key) => nameIn(file, key) ?? ''),
  );
  const found = new Map<string, string>();
  for (const name of names) {
    const { cards } = await ask<MixListAnswer>(
      'GET',
      `/api/mixes?search=${encodeURIComponent(name)}&limit=${MOST_LOOKED}`,
    );
    const mix = cards.find((card) => card.name.toLowerCase() === name);
    if (mix) found.set(name, mix.revisionId);
  }
  return found;
}

/** What is here, for a file that comes from somewhere else. */
export interface Here {
  readonly shelf: ShelfAnswer;
  readonly blends: readonly BlendCard[];
  readonly colours: StartColours;
}

/** Materials of a file by their names: those that are here, or else a clay like them. */
export const keysHere =
  (file: Named, { shelf, blends, colours }: Here, mixes: ReadonlyMap<string, string>) =>
  (old: string): string => {
    const name = nameIn(file, old);
    if (materialIn(old)?.kind === 'blend') {
      const blend = blends.find((b) => b.name.toLowerCase() === name);
      return blend ? keyOf(ofBlend(blend.revisionId)) : colours.fade;
    }
    const clay = shelf.clays.find((c) => c.name.toLowerCase() === name);
    if (clay) return keyOf(ofClay(clay.id));
    const mix = mixes.get(name ?? '');
    return mix === undefined ? colours.light : keyOf(ofMix(mix));
  };
