import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_DENSITY } from '#core/clay';
import { ASSUMED_CARD, READING_WAYS, type ReadingWay, type SettingThickness } from '#core/sheet';
import { orSentence, showLength } from '#core/units';
import type { BenchSetupDto, ReadingDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { today } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Field } from '../../theme/pieces.js';
import { ASKS, EXAMPLE, GAUGE, WAYS, measuresOf } from './readingWays.js';
import { UNSENT } from '../../wire/leaving.js';

const WAY_OPTIONS = READING_WAYS.map((value) => ({ value, text: WAYS[value] }));
/** Layers of a stack, at most. */
const MOST_LAYERS = 20;

interface ReadingFormProps {
  readonly setting: SettingThickness;
  readonly setup: BenchSetupDto;
  readonly onNote: (reading: Omit<ReadingDto, 'id' | 'settingId'>) => void;
}

/** What is typed of a reading, and the thickness that follows from it. */
function useReading({ setup, onNote }: ReadingFormProps) {
  const units = useUnits();
  const [text, setText] = useState('');
  const [way, setWay] = useState<ReadingWay>('calipers');
  const [layers, setLayers] = useState(4);
  const [disc, setDisc] = useState(setup.discMm);
  const [wrong, setWrong] = useState<string | null>(null);
  const means = { layers, disc, card: setup.cardMm ?? null };
  const gauged = text.trim() === '' ? null : orSentence(() => GAUGE[way](text, means, units));
  const note = (): void => {
    if (gauged === null || typeof gauged === 'string') {
      setWrong(gauged ?? 'Nothing is written here yet.');
      return;
    }
    onNote({ ...gauged, way, takenOn: today() });
    type('');
  };
  const type = (next: string): void => {
    setText(next);
    setWrong(null);
  };
  const choose = (next: ReadingWay): void => {
    setWay(next);
    type('');
  };
  return { text, type, way, choose, layers, setLayers, disc, setDisc, means, gauged, wrong, note };
}

interface OwnProps extends Omit<ReadingFormProps, 'onNote'> {
  readonly reading: ReturnType<typeof useReading>;
}

/** How it is measured, and what else that takes. */
function HowMeasured({ reading, setup }: Omit<OwnProps, 'setting'>): ReactElement {
  const units = useUnits();
  const { way, choose, layers, setLayers, disc, setDisc } = reading;
  return (
    <Box fontSize="small" marginBottom={1}>
      <Choice label="Measured how" value={way} options={WAY_OPTIONS} onChange={choose} />
      {way === 'stack' && (
        <>
          :{' '}
          <CountValue
            label="Layers in the stack measured"
            value={layers}
            onChange={(n) => {
              if (Number.isInteger(n) && n > 0 && n <= MOST_LAYERS) setLayers(n);
            }}
          />{' '}
          of them, together
        </>
      )}
      {way === 'weighed' && (
        <>
          : one of{' '}
          <LengthValue
            label="Diameter of the weighed disc"
            value={disc}
            onChange={(mm) => {
              if (mm > 0) setDisc(mm);
            }}
          />
          , of clay of ~{ASSUMED_DENSITY} g/cm³
        </>
      )}
      {way === 'cards' && <>, of {showLength(setup.cardMm ?? ASSUMED_CARD, units, true)} each</>}
    </Box>
  );
}

/** What is read, and the thickness it means. */
function ReadingField({ reading, setting }: Omit<OwnProps, 'setup'>): ReactElement {
  const units = useUnits();
  const { text, type, way, means, gauged } = reading;
  return (
    <Flex gap={2} alignItems="center">
      <Field
        width="128px"
        aria-label={`Reading of setting ${setting.label}, ${ASKS[way]}`}
        placeholder={EXAMPLE[way](setting.mm, means, units)}
        value={text}
        data-measures={measuresOf(way)}
        data-setting={way === 'calipers' ? setting.id : undefined}
        onChange={(e) => {
          type(e.currentTarget.value);
        }}
      />
      <Action type="submit">Note</Action>
      <Box fontSize="small">
        {gauged !== null && typeof gauged !== 'string' ? (
          <>
            <b>{showLength(gauged.mm, units, true)}</b> ± {showLength(2 * gauged.sigmaMm, units, true)}
          </>
        ) : (
          <Caption>{ASKS[way]}</Caption>
        )}
      </Box>
    </Flex>
  );
}

/** A reading as it is really taken: what was looked at is typed, the thickness is worked out. */
export function ReadingForm(props: ReadingFormProps): ReactElement {
  const { setting, setup } = props;
  const reading = useReading(props);
  const { wrong, note } = reading;
  return (
    <Box
      as="form"
      {...UNSENT}
      marginTop={2}
      onSubmit={(e) => {
        e.preventDefault();
        note();
      }}
    >
      <HowMeasured reading={reading} setup={setup} />
      <ReadingField reading={reading} setting={setting} />
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
