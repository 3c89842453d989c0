import { keyOf, materialIn, ofBlend, ofClay } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { Suspense, lazy, useMemo, useState, type ReactElement } from 'react';
import { drawnToRegions, signedArea, type Drawn, type Fill, type Region, type Step } from '#core/cane';
import { ASSUMED_DENSITY } from '#core/clay';
import { deltaE, readColour } from '#core/colour';
import { showLength, showMass, sentenceOf } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { FileWord } from '../../../parts/FileWord.js';
import { CountValue, LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { useUnits, useView } from '../../../state/view.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { askPicture } from '../../../workers/picture.js';
import { readAside } from '../../../workers/reading.js';
import { useCaneOf, useCanes } from '../../../wire/queries.js';
import { FillWords } from './FillWords.js';
import type { CaneChoice, EditorProps } from './view.js';
import { saveTemplatePdf } from './templatePdf.js';

const DrawPad = lazy(() => import('./DrawPad.js'));
type Template = Extract<Step, { do: 'template' }>;
/** Regions that are filled alike belong together until somebody parts them. */
const groupKey = ({ fill }: Region): string =>
  JSON.stringify('cane' in fill ? ['cane', 'ref' in fill.cane ? fill.cane.ref : fill.cane.name, fill.degrees] : fill);

/** The clay of the shelf that is nearest to a colour of a drawing. */
function nearestClay(hex: string, shelf: ShelfAnswer): string {
  const lab = readColour(hex);
  const clays = shelf.clays.filter((c) => !c.retired);
  const best = clays.reduce(
    (a, b) => (deltaE(readColour(b.bakedHex), lab) < deltaE(readColour(a.bakedHex), lab) ? b : a),
    clays[0] ?? { id: '', bakedHex: 'FFFFFF' },
  );
  return keyOf(ofClay(best.id));
}

/** A template: a drawing or a picture decides the regions, each gets a mix, a blend or a cane. */
export default function TemplateEditor({
  step,
  materials,
  blends,
  canes,
  shelf,
  name,
  onChange,
  onOpen,
}: EditorProps<Template>): ReactElement {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const [notes, setNotes] = useState<readonly string[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const [colours, setColours] = useState(5);
  const [drawing, setDrawing] = useState(false);
  const [each, setEach] = useState(false);
  const groups = useMemo(() => {
    const found = new Map<string, Region[]>();
    for (const region of step.regions) {
      const key = each ? region.id : groupKey(region);
      found.set(key, [...(found.get(key) ?? []), region]);
    }
    return [...found.values()];
  }, [step.regions, each]);
  const width =
    Math.max(...(step.regions[0]?.points.map((p) => p[0]) ?? [1])) -
    Math.min(...(step.regions[0]?.points.map((p) => p[0]) ?? [0]));
  const colourOf = ({ fill }: Region): string => materials.get(keyIn(fill))?.hexes[0] ?? '999999';
  const draw = (points: Region['points']): void => {
    const last = step.regions.at(-1);
    const fill: Fill =
      last && step.regions.length > 1
        ? last.fill
        : { of: [...materials.keys()].find((key) => materialIn(key)?.kind === 'clay') ?? '' };
    onChange({
      ...step,
      regions: [...step.regions, { id: crypto.randomUUID(), name: `drawn ${step.regions.length}`, points, fill }],
    });
  };
  const take = (drawn: Drawn): void => {
    setNotes(drawn.notes);
    setWrong(null);
    onChange({ ...step, regions: drawnToRegions(drawn, (hex) => nearestClay(hex, shelf)) });
  };
  const attempt = async (work: () => Promise<Drawn>): Promise<void> => {
    try {
      take(await work());
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const openSvg = (file: File): void => {
    void attempt(() => readAside(file, async (reader) => reader.svg(file)));
  };
  const openPicture = (file: File): void => {
    void attempt(async () => {
      await openPicture(file);
      return askPicture((worker) => worker.trace(colours, width));
    });
  };
  const refill = (group: readonly Region[], fill: Fill): void => {
    const ids = new Set(group.map((r) => r.id));
    onChange({ ...step, regions: step.regions.map((r) => (ids.has(r.id) ? { ...r, fill } : r)) });
  };
  const resize = (mm: number): void => {
    if (mm > 2 && mm <= 300) {
      const k = mm / width;
      onChange({
        ...step,
        regions: step.regions.map((r) => ({ ...r, points: r.points.map(([x, y]) => [x * k, y * k] as const) })),
      });
    }
  };
  return (
    <>
      <LengthValue label="Width of the template" value={width} onChange={resize} /> wide,{' '}
      <LengthValue
        label="Length of the template"
        value={step.length}
        onChange={(length) => {
          onChange({ ...step, length });
        }}
      />{' '}
      long
      {step.regions.length > 2 && (
        <>
          {' '}
          ·{' '}
          <Word
            aria-pressed={each}
            onClick={() => {
              setEach(!each);
            }}
          >
            {each ? 'equal ones together' : 'each region by itself'}
          </Word>
        </>
      )}
      <Flex
        as="ul"
        direction="column"
        gap={2}
        marginTop={2}
        aria-label="Regions"
        maxHeight="250px"
        overflowY="auto"
        tabIndex={0}
      >
        {groups.map((group) => {
          const [first] = group;
          return first ? (
            <li key={group.map((r) => r.id).join()}>
              <Group
                group={group}
                fill={first.fill}
                length={step.length}
                {...{ materials, blends, canes, step, onOpen }}
                onFill={(fill) => {
                  refill(group, fill);
                }}
                onOut={() => {
                  const ids = new Set(group.map((r) => r.id));
                  onChange({ ...step, regions: step.regions.filter((r) => !ids.has(r.id)) });
                }}
              />
            </li>
          ) : null;
        })}
      </Flex>
      <Box fontSize="small" lineHeight={1.9} marginTop={2}>
        <FileWord label="A drawing as SVG" accept=".svg,image/svg+xml" onFile={openSvg}>
          take the regions of a drawing (SVG)
        </FileWord>
        <br />
        <FileWord label="A picture to trace" accept="image/png,image/jpeg" onFile={openPicture}>
          trace a picture
        </FileWord>{' '}
        in{' '}
        <CountValue
          label="Colours to trace"
          value={colours}
          onChange={(n) => {
            if (Number.isInteger(n) && n > 1 && n <= 12) setColours(n);
          }}
        />{' '}
        colours
        <br />
        <Word
          aria-expanded={drawing}
          onClick={() => {
            setDrawing(!drawing);
          }}
        >
          {drawing ? 'enough drawn' : 'draw outlines'}
        </Word>
        {drawing && (
          <Suspense fallback={null}>
            <DrawPad regions={step.regions} colourOf={colourOf} onDraw={draw} />
          </Suspense>
        )}
        <FitBeside
          step={step}
          canes={canes}
          onHeight={(height) => {
            resize((width * height) / heightOf(step));
          }}
        />
        <Word
          onClick={() => {
            void saveTemplatePdf(name, step, materials, units, paper);
          }}
        >
          the template on paper, at true size
        </Word>{' '}
        on <PaperChoice label="Paper of the template" />
      </Box>
      {wrong !== null && <Warning>{wrong}</Warning>}
      {notes.map((n) => (
        <Caption key={n} display="block">
          {n}
        </Caption>
      ))}
    </>
  );
}

const heightOf = (step: Template): number => {
  const ys = step.regions[0]?.points.map((p) => p[1]) ?? [0, 1];
  return Math.max(...ys) - Math.min(...ys);
};

/** Whether two templates that belong together, as an upper and a lower wing, fit in size. */
function FitBeside({
  step,
  canes,
  onHeight,
}: {
  readonly step: Template;
  readonly canes: readonly CaneChoice[];
  readonly onHeight: (mm: number) => void;
}): ReactElement | null {
  const units = useUnits();
  const all = useCanes();
  const [ref, setRef] = useState('');
  const id = all.data?.find((c) => c.revisionId === ref)?.id;
  const other = useCaneOf(id);
  const template = other.data?.program.steps.find((s): s is Template => s.do === 'template');
  if (canes.length === 0) return null;
  const mm = (x: number): string => showLength(x, units);
  return (
    <Box>
      belongs with{' '}
      <Choice
        label="The template it belongs with"
        value={ref}
        options={[{ value: '', text: 'none' }, ...canes.map((c) => ({ value: c.revisionId, text: c.name }))]}
        onChange={setRef}
      />
      {template &&
        (Math.abs(heightOf(template) / heightOf(step) - 1) < 0.01 ? (
          `: both are ${mm(heightOf(step))} high, they fit`
        ) : (
          <>
            : that is {mm(heightOf(template))} high, this {mm(heightOf(step))}.{' '}
            <Word
              onClick={() => {
                onHeight(heightOf(template));
              }}
            >
              make this as high
            </Word>
          </>
        ))}
      {ref !== '' && other.data && !template && ': that one has no template'}
    </Box>
  );
}

/** What fills a region as a key of a material; empty where it is a cane. */
function keyIn(fill: Fill): string {
  if ('of' in fill) return fill.of;
  return 'blend' in fill ? fill.blend : '';
}
function kindIn(fill: Fill): 'of' | 'blend' | 'cane' {
  if ('cane' in fill) return 'cane';
  return 'blend' in fill ? 'blend' : 'of';
}
function groupName(group: readonly Region[], ground: boolean): string {
  if (ground) return 'ground';
  return group.length === 1 ? (group[0]?.name ?? '') : `${group.length} regions`;
}

interface GroupProps extends Pick<EditorProps<Template>, 'step' | 'materials' | 'blends' | 'canes' | 'onOpen'> {
  readonly group: readonly Region[];
  readonly fill: Fill;
  readonly length: number;
  readonly onFill: (fill: Fill) => void;
  readonly onOut: () => void;
}

const KINDS = [
  { value: 'of', text: 'one colour' },
  { value: 'blend', text: 'a blend' },
  { value: 'cane', text: 'a cane' },
] as const;

function Group({
  group,
  fill,
  length,
  materials,
  blends,
  canes,
  step,
  onOpen,
  onFill,
  onOut,
}: GroupProps): ReactElement {
  const units = useUnits();
  const kind = kindIn(fill);
  const ground = group.some((r) => r === step.regions[0]);
  const others = ground ? step.regions.slice(1).reduce((sum, r) => sum + Math.abs(signedArea(r.points)), 0) : 0;
  const area = Math.max(0, group.reduce((sum, r) => sum + Math.abs(signedArea(r.points)), 0) - others);
  const density = materials.get(keyIn(fill))?.density ?? ASSUMED_DENSITY;
  const change = (next: (typeof KINDS)[number]['value']): void => {
    const [key] = materials.keys();
    if (next === 'of' && key !== undefined) onFill({ of: key });
    if (next === 'blend' && blends[0]) onFill({ blend: keyOf(ofBlend(blends[0].revisionId)), degrees: 90 });
    if (next === 'cane' && canes[0]) onFill({ cane: { ref: canes[0].revisionId, name: canes[0].name }, degrees: 0 });
  };
  const options = KINDS.filter(
    (k) => k.value === kind || k.value === 'of' || (k.value === 'blend' ? blends.length : canes.length) > 0,
  );
  const at = step.regions.filter((r) => 'cane' in r.fill).findIndex((r) => group.includes(r));
  return (
    <Box fontSize="small" lineHeight={1.5}>
      <b>{groupName(group, ground)}</b>:{' '}
      <Choice label={`What fills ${group[0]?.name ?? ''}`} value={kind} options={options} onChange={change} />{' '}
      <FillWords
        fill={fill}
        name={group[0]?.name ?? ''}
        materials={materials}
        canes={canes}
        onFill={onFill}
        onOpen={() => {
          onOpen(at);
        }}
      />
      {!ground && (
        <>
          {' '}
          ·{' '}
          <Word aria-label={`Take ${group[0]?.name ?? ''} out`} onClick={onOut}>
            out
          </Word>
        </>
      )}{' '}
      <Second>
        {area.toFixed(area < 10 ? 1 : 0)} mm², {showMass((area * length * density) / 1000, units)} in{' '}
        {showLength(length, units)}
      </Second>
    </Box>
  );
}
