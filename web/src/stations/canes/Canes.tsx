import { keyOf, materialIn, ofBlend, ofClay, ofMix } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { PROGRAM_VERSION, STARTING_POINTS, type Program, type StartColours } from '#core/cane';
import { standAlone, type CaneFile } from '#core/formats';
import { sentenceOf } from '#core/units';
import type { BlendCard, CaneCard, CaneDto, MixListAnswer, RevisionAnswer, ShelfAnswer } from '#contract';
import { FileWord } from '../../parts/FileWord.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { Second, Word } from '../../theme/pieces.js';
import { readAside } from '../../workers/reading.js';
import { ask } from '../../wire/ask.js';
import { useBlendOf, useBlends, useCaneOf, useCanes, useMachines, useShelf } from '../../wire/queries.js';
import { change } from '../../wire/save.js';
import { CaneCardFace, StartFace } from './faces/CaneFaces.js';
import { CaneView } from './CaneView.js';
import { FromTile } from './FromTile.js';

/** The colours that a starting point gets: somebody's own clays, far apart, and a blend of theirs. */
export function coloursFor(shelf: ShelfAnswer, blends: readonly BlendCard[]): StartColours | null {
  const clays = shelf.clays.filter((c) => !c.retired);
  const opaque = clays.filter((c) => c.kind === 'opaque');
  const light = (hex: string): number =>
    parseInt(hex.slice(0, 2), 16) + parseInt(hex.slice(2, 4), 16) + parseInt(hex.slice(4), 16);
  const sorted = [...opaque].sort((a, b) => light(a.bakedHex) - light(b.bakedHex));
  const spread = (hex: string): number => {
    const v = [0, 2, 4].map((i) => parseInt(hex.slice(i, i + 2), 16));
    return Math.max(...v) - Math.min(...v);
  };
  const vivid = [...opaque].sort((a, b) => spread(b.bakedHex) - spread(a.bakedHex));
  const [dark, pale] = [sorted[0], sorted.at(-1)];
  if (!dark || !pale) return null;
  const key = (id: string | undefined): string => keyOf(ofClay(id ?? pale.id));
  const glass = clays.filter((c) => c.kind === 'translucent').map((c) => key(c.id));
  const blend = blends.find((b) => !b.retired);
  return {
    dark: key(dark.id),
    light: key(pale.id),
    strong: key(vivid[0]?.id),
    second: key(vivid[1]?.id),
    glass: [...glass, ...vivid.slice(1, 4).map((c) => key(c.id))].slice(0, 4),
    fade: blend ? keyOf(ofBlend(blend.revisionId)) : key(vivid[0]?.id),
  };
}

const NONE: readonly RevisionAnswer[] = [];

const free = (wanted: string, taken: ReadonlySet<string>): string => {
  let name = wanted;
  for (let n = 2; taken.has(name.toLowerCase()); n++) name = `${wanted} ${n}`;
  return name;
};

/** What a material of a file is called, in small letters. */
const nameIn = (file: CaneFile, key: string): string | undefined =>
  Object.hasOwn(file.materials, key) ? file.materials[key]?.name.toLowerCase() : undefined;

/** Mixes that are looked through for one of a name. */
const MOST_LOOKED = 500;

/** The newest revisions of the mixes that a file names, by their names in small letters. @throws Refused, NoAnswer */
async function mixesNamed(file: CaneFile): Promise<ReadonlyMap<string, string>> {
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

/** Canes that are planned, and what to begin a new one from. */
export default function Canes(): ReactElement {
  const { caneId, detail } = useParams();
  const navigate = useNavigate();
  const [canes, shelf, machines, blends, cane] = [
    useCanes(),
    useShelf(),
    useMachines(),
    useBlends(),
    useCaneOf(caneId),
  ];
  const fade = useBlendOf(blends.data?.find((b) => !b.retired)?.id);
  const [wrong, setWrong] = useState<string | null>(null);
  const [shown, setShown] = useState(false);
  useKeys(
    'Canes',
    caneId === undefined
      ? [
          {
            key: 'n',
            does: 'Begin with a log',
            run: () => {
              void begin('Log', (c) => [
                { id: crypto.randomUUID(), do: 'log', of: c.strong, diameter: 24, length: 60 },
              ]);
            },
          },
        ]
      : [],
  );
  if (!canes.data || !shelf.data || !machines.data || !blends.data)
    return <Reading error={canes.error ?? shelf.error ?? machines.error ?? blends.error} />;
  const colours = coloursFor(shelf.data, blends.data);
  if (caneId !== undefined) {
    return cane.data ? (
      <CaneView
        key={cane.data.id}
        cane={cane.data}
        making={detail === 'make'}
        shelf={shelf.data}
        machines={machines.data}
        blends={blends.data.filter((b) => !b.retired)}
        canes={canes.data}
      />
    ) : (
      <Reading error={cane.error} />
    );
  }
  const taken = new Set(canes.data.map((c) => c.name.toLowerCase()));
  const keep = async (name: string, program: Program, more: Partial<CaneDto> = {}): Promise<void> => {
    const dto: CaneDto = {
      id: crypto.randomUUID(),
      version: 0,
      name: free(name, taken),
      note: '',
      retired: false,
      program,
      slices: 40,
      sliceMm: 2,
      trimming: 'once at the end',
      ends: null,
      ...more,
    };
    if (await change('PUT', `/api/canes/${dto.id}`, dto)) void navigate(`/canes/${dto.id}`);
  };
  async function begin(name: string, steps: (c: StartColours) => Program['steps']): Promise<void> {
    if (colours) await keep(name, { version: PROGRAM_VERSION, steps: [...steps(colours)] });
  }
  /** Materials of a file by their names: those that are here, or else a clay like them. */
  const keyFor =
    (file: CaneFile, mixes: ReadonlyMap<string, string>) =>
    (old: string): string => {
      const name = nameIn(file, old);
      const clay = shelf.data?.clays.find((c) => c.name.toLowerCase() === name);
      const mix = mixes.get(name ?? '');
      const blend = blends.data?.find((b) => b.name.toLowerCase() === name);
      if (materialIn(old)?.kind === 'blend') return blend ? keyOf(ofBlend(blend.revisionId)) : (colours?.fade ?? old);
      if (clay) return keyOf(ofClay(clay.id));
      return mix === undefined ? (colours?.light ?? old) : keyOf(ofMix(mix));
    };
  const take = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      const read = await readAside(file, async (reader) => reader.cane(file));
      await keep(read.name, standAlone(read, keyFor(read, await mixesNamed(read))), {
        slices: read.slices,
        sliceMm: read.sliceMm,
      });
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  if (!colours)
    return (
      <Empty
        title="No clay for a cane yet"
        action="Go to the shelf"
        onAction={() => {
          void navigate('/shelf');
        }}
      >
        A cane is a rod with a picture running through it. Put at least one clay on the shelf, then see its face here
        before you cut.
      </Empty>
    );
  const current = canes.data.filter((c) => !c.retired);
  const retired = canes.data.filter((c) => c.retired);
  return (
    <Box padding={5} height="100%" overflowY="auto" tabIndex={0} role="region" aria-label="Canes">
      {current.length > 0 && (
        <>
          <h1>Canes</h1>
          <Flex as="ul" wrap="wrap" gap={6} marginTop={4} marginBottom={6} aria-label="Your canes">
            {current.map((c: CaneCard) => (
              <li key={c.id}>
                <CaneCardFace card={c} shelf={shelf.data} />
              </li>
            ))}
          </Flex>
        </>
      )}
      {retired.length > 0 && (
        <Box marginBottom={5}>
          <Word
            fontSize="small"
            onClick={() => {
              setShown(!shown);
            }}
          >
            {shown ? 'Hide the retired ones' : `${retired.length} retired`}
          </Word>
          {shown && (
            <Flex as="ul" wrap="wrap" gap={6} marginTop={3}>
              {retired.map((c) => (
                <li key={c.id}>
                  <CaneCardFace card={c} shelf={shelf.data} />
                </li>
              ))}
            </Flex>
          )}
        </Box>
      )}
      <Box as="h2" borderTop={current.length > 0 ? 'rule' : undefined} paddingTop={current.length > 0 ? 4 : 0}>
        Begin a new one
      </Box>
      <Second>each in your own colours; all of it can be changed</Second>
      <FromTile
        blends={blends.data}
        onBegin={(name, step) => {
          void begin(name, () => [step]);
        }}
      />
      <Flex as="ul" wrap="wrap" gap={5} marginTop={4} aria-label="Starting points">
        {STARTING_POINTS.map((start) => (
          <li key={start.id}>
            <StartFace
              start={start}
              colours={colours}
              shelf={shelf.data}
              blends={blends.data}
              referenced={fade.data?.referenced ?? NONE}
              onBegin={() => {
                void begin(start.name, start.steps);
              }}
            />
          </li>
        ))}
      </Flex>
      <Flex gap={5} marginTop={5} fontSize="small" wrap="wrap" alignItems="baseline">
        <Word
          onClick={() => {
            void begin('Log', (c) => [{ id: crypto.randomUUID(), do: 'log', of: c.strong, diameter: 24, length: 60 }]);
          }}
        >
          or with a log of one colour
        </Word>
        <Word
          onClick={() => {
            void begin('Loaf', (c) => [
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
            ]);
          }}
        >
          a loaf of stripes
        </Word>
        <Word
          onClick={() => {
            void begin('Template', (c) => [
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
            ]);
          }}
        >
          a template after a drawing
        </Word>
        <FileWord
          label="A cane from a file"
          accept=".json,application/json"
          onFile={(file) => {
            void take(file);
          }}
        >
          a cane from a file
        </FileWord>
      </Flex>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
