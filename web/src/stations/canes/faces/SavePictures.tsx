import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { writeCane } from '#core/formats';
import type { CaneAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { Warning } from '../../../parts/Warning.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { askCanes, faceFile, type WorkedCane } from '../../../workers/cane.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { CaneMaterial } from '../clay/materials.js';
import { outlinesSvg } from './outlinesSvg.js';

interface SavePicturesProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly at: number;
}
const SIZES = ['512', '1024', '2048', '4096'].map((value) => ({ value, text: `${value} × ${value}` }));

/** The cane as a file that stands alone. */
const documentOf = ({ cane, materials }: Pick<SavePicturesProps, 'cane' | 'materials'>): string =>
  writeCane({
    name: cane.name,
    program: cane.program,
    canes: Object.fromEntries(cane.canes.map((c) => [c.revisionId, { name: c.name, program: c.program }])),
    materials: Object.fromEntries([...materials].map(([key, m]) => [key, { name: m.name, hexes: m.hexes }])),
    slices: cane.slices,
    sliceMm: cane.sliceMm,
  });

interface FacePngProps extends Pick<SavePicturesProps, 'paints' | 'at'> {
  readonly name: string;
  readonly worked: WorkedCane;
}

/** Painting a face for a file, which takes its time and can be stopped. */
function usePainting({ name, worked, paints, at }: FacePngProps) {
  const [share, setShare] = useState(0);
  const [going, setGoing] = useState<AbortController | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const save = async (size: number): Promise<void> => {
    const own = new AbortController();
    setGoing(own);
    setShare(0);
    setWrong(null);
    try {
      const file = await faceFile({ id: worked.id, at, size, paints }, setShare, own.signal);
      if (file) saveFile(name, 'png', 'image/png', file);
    } catch {
      setWrong('This browser has no room for a picture that large. Take a smaller one.');
    }
    setGoing(null);
  };
  return { share, going, wrong, save };
}

type Painting = ReturnType<typeof usePainting>;

/** How far the painting has come, or why there is none. */
function HowFar({ painting: { share, going, wrong } }: { readonly painting: Painting }): ReactElement {
  return (
    <>
      {going && (
        <Flex gap={3} marginTop={1}>
          <progress value={share} aria-label="Painting the face" />
          <Caption>{Math.round(100 * share)} %</Caption>
          <Word
            onClick={() => {
              going.abort();
            }}
          >
            stop
          </Word>
        </Flex>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </>
  );
}

/** The face and the cane as files. */
export function SavePictures(props: SavePicturesProps): ReactElement | null {
  const { cane, worked, at, ...own } = props;
  if (!worked?.steps[at]?.there) return null;
  return <Files {...own} cane={cane} worked={worked} at={at} />;
}

function Files({
  cane,
  worked,
  paints,
  materials,
  at,
}: SavePicturesProps & { readonly worked: WorkedCane }): ReactElement {
  const [size, setSize] = useState('2048');
  const painting = usePainting({ name: cane.name, worked, paints, at });
  const outlines = async (): Promise<void> => {
    const figures = worked.steps[at];
    if (!figures) return;
    const traced = await askCanes((worker) => worker.traced(worked.id, at));
    saveFile(cane.name, 'svg', 'image/svg+xml', outlinesSvg(traced, figures, materials));
  };
  return (
    <Box borderTop="rule" paddingTop={3} fontSize="small">
      <Flex gap={3} wrap="wrap" alignItems="baseline">
        <span>
          face as{' '}
          <Word
            disabled={painting.going !== null}
            aria-label="Face as PNG"
            onClick={() => {
              void painting.save(Number(size));
            }}
          >
            PNG
          </Word>{' '}
          of <Choice label="Size of the picture" value={size} options={SIZES} onChange={setSize} />
        </span>
        <Word
          aria-label="Outlines as SVG"
          onClick={() => {
            void outlines();
          }}
        >
          outlines as SVG
        </Word>
        <Word
          aria-label="Cane as JSON"
          onClick={() => {
            saveFile(cane.name, 'json', 'application/json', documentOf({ cane, materials }));
          }}
        >
          cane as JSON
        </Word>
      </Flex>
      <HowFar painting={painting} />
    </Box>
  );
}
