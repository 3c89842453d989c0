import { Box } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { drawnToRegions, type Drawn, type Region } from '#core/cane';
import { sentenceOf } from '#core/units';
import { FileWord } from '../../../parts/FileWord.js';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { CountValue, LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { askPicture, openPicture } from '../../../workers/picture.js';
import { readAside } from '../../../workers/reading.js';
import { FitBeside } from './FitBeside.js';
import { Regions } from './Regions.js';
import { asWide, heightOf, keyIn, nearestClay, widthOf, withDrawn, type Template } from './templateMoves.js';
import { saveTemplatePdf } from './templatePdf.js';
import type { EditorProps } from './view.js';

const DrawPad = lazy(() => import('./DrawPad.js'));

/** How many colours a picture is traced in: where nobody says, and the fewest and the most. */
const [USUAL_COLOURS, FEWEST_COLOURS, MOST_COLOURS] = [5, 2, 12];

type Own = EditorProps<Template>;

/** Regions taken out of a file: a drawing, or a picture that is traced. */
function useTaking({ step, shelf, onChange }: Own) {
  const [notes, setNotes] = useState<readonly string[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async (read: Promise<Drawn>): Promise<void> => {
    try {
      const drawn = await read;
      setNotes(drawn.notes);
      setWrong(null);
      onChange({ ...step, regions: drawnToRegions(drawn, (hex) => nearestClay(hex, shelf)) });
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const traced = async (file: File, colours: number): Promise<Drawn> => {
    await openPicture(file);
    return askPicture((worker) => worker.trace(colours, widthOf(step)));
  };
  return {
    notes,
    wrong,
    takeSvg: (file: File): void => {
      void take(readAside(file, async (reader) => reader.svg(file)));
    },
    takePicture: (file: File, colours: number): void => {
      void take(traced(file, colours));
    },
  };
}

type Taking = ReturnType<typeof useTaking>;

/** The ways to take regions out of a file. */
function FromFile({ taking }: { readonly taking: Taking }): ReactElement {
  const [colours, setColours] = useState(USUAL_COLOURS);
  return (
    <>
      <FileWord label="A drawing as SVG" accept=".svg,image/svg+xml" onFile={taking.takeSvg}>
        take the regions of a drawing (SVG)
      </FileWord>
      <br />
      <FileWord
        label="A picture to trace"
        accept="image/png,image/jpeg"
        onFile={(file) => {
          taking.takePicture(file, colours);
        }}
      >
        trace a picture
      </FileWord>{' '}
      in{' '}
      <CountValue
        label="Colours to trace"
        value={colours}
        onChange={(n) => {
          if (Number.isInteger(n) && n >= FEWEST_COLOURS && n <= MOST_COLOURS) setColours(n);
        }}
      />{' '}
      colours
    </>
  );
}

interface Coloured {
  readonly colourOf: (region: Region) => string;
}

/** Outlines drawn by hand. */
function ByHand({ step, materials, colourOf, onChange }: Own & Pick<Coloured, 'colourOf'>): ReactElement {
  const [drawing, setDrawing] = useState(false);
  return (
    <>
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
          <DrawPad
            regions={step.regions}
            colourOf={colourOf}
            onDraw={(points) => {
              onChange(withDrawn(step, points, materials.keys()));
            }}
          />
        </Suspense>
      )}
    </>
  );
}

interface SizeProps extends Own {
  readonly resize: (mm: number) => void;
}

/** How large the template is. */
function Size({ step, onChange, resize }: SizeProps): ReactElement {
  return (
    <>
      <LengthValue label="Width of the template" value={widthOf(step)} onChange={resize} /> wide,{' '}
      <LengthValue
        label="Length of the template"
        value={step.length}
        onChange={(length) => {
          onChange({ ...step, length });
        }}
      />{' '}
      long
    </>
  );
}

/** A template: a drawing or a picture decides the regions, each gets a mix, a blend or a cane. */
export default function TemplateEditor(props: Own): ReactElement {
  const { step, materials, canes, name, onChange } = props;
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const [each, setEach] = useState(false);
  const taking = useTaking(props);
  const colourOf = ({ fill }: Region): string => materials.get(keyIn(fill))?.hexes[0] ?? UNKNOWN_HEX;
  const resize = (mm: number): void => {
    const next = asWide(step, mm);
    if (next !== step) onChange(next);
  };
  return (
    <>
      <Size {...props} resize={resize} />
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
      <Regions {...props} each={each} />
      <Box fontSize="small" lineHeight={1.9} marginTop={2}>
        <FromFile taking={taking} />
        <br />
        <ByHand {...props} colourOf={colourOf} />
        <FitBeside
          step={step}
          colourOf={colourOf}
          canes={canes}
          onHeight={(height) => {
            resize((widthOf(step) * height) / heightOf(step));
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
      {taking.wrong !== null && <Warning>{taking.wrong}</Warning>}
      {taking.notes.map((n) => (
        <Caption key={n} display="block">
          {n}
        </Caption>
      ))}
    </>
  );
}
