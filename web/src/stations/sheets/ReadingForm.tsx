import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_DENSITY } from '#core/clay';
import {
  ASSUMED_CARD,
  READING_WAYS,
  SIGMA_OF_WAY,
  discVolume,
  gaugedByCards,
  gaugedByDisc,
  gaugedByStack,
  type Gauged,
  type ReadingWay,
  type SettingThickness,
} from '#core/sheet';
import { orSentence, readLength, readMass, readNumber, showLength, showMass } from '#core/units';
import type { BenchSetupDto, ReadingDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { today } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Field } from '../../theme/pieces.js';
import { UNSENT } from '../../wire/leaving.js';

/** What a gauge may type into the field of a way to measure. */
function measuresOf(way: ReadingWay): 'mass' | 'length' | undefined {
  if (way === 'cards') return undefined;
  return way === 'weighed' ? 'mass' : 'length';
}

export const WAYS: Readonly<Record<ReadingWay, string>> = {
  calipers: 'by calipers',
  cards: 'against cards',
  stack: 'as a stack of layers',
  weighed: 'by weighing a disc',
};
const WAY_OPTIONS = READING_WAYS.map((value) => ({ value, text: WAYS[value] }));
const ASKS: Readonly<Record<ReadingWay, string>> = {
  calipers: 'thickness',
  cards: 'number of cards',
  stack: 'thickness of the stack',
  weighed: 'weight of the disc',
};

interface ReadingFormProps {
  readonly setting: SettingThickness;
  readonly setup: BenchSetupDto;
  readonly onNote: (reading: Omit<ReadingDto, 'id' | 'settingId'>) => void;
}

/** A reading as it is really taken: what was looked at is typed, the thickness is worked out. */
export function ReadingForm({ setting, setup, onNote }: ReadingFormProps): ReactElement {
  const units = useUnits();
  const [text, setText] = useState('');
  const [way, setWay] = useState<ReadingWay>('calipers');
  const [layers, setLayers] = useState(4);
  const [disc, setDisc] = useState(setup.discMm);
  const [wrong, setWrong] = useState<string | null>(null);
  const read = (): Gauged => {
    switch (way) {
      case 'calipers':
        return { mm: readLength(text, units), sigmaMm: SIGMA_OF_WAY.calipers };
      case 'cards':
        return gaugedByCards(readNumber(text).valueOf(), setup.cardMm ?? null);
      case 'stack':
        return gaugedByStack(layers, readLength(text, units));
      case 'weighed':
        return gaugedByDisc(readMass(text, units), disc, ASSUMED_DENSITY, false);
    }
  };
  const gauged = text.trim() === '' ? null : orSentence(read);
  const note = (): void => {
    if (gauged === null || typeof gauged === 'string') {
      setWrong(gauged ?? 'Nothing is written here yet.');
      return;
    }
    onNote({ ...gauged, way, takenOn: today() });
    setText('');
    setWrong(null);
  };
  const placeholder = {
    calipers: showLength(setting.mm, units, true),
    cards: '5',
    stack: showLength(layers * setting.mm, units, true),
    weighed: showMass((discVolume(disc, setting.mm) * ASSUMED_DENSITY) / 1000, units),
  }[way];
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
      <Box fontSize="small" marginBottom={1}>
        <Choice
          label="Measured how"
          value={way}
          options={WAY_OPTIONS}
          onChange={(next) => {
            setWay(next);
            setText('');
            setWrong(null);
          }}
        />
        {way === 'stack' && (
          <>
            :{' '}
            <CountValue
              label="Layers in the stack measured"
              value={layers}
              onChange={(n) => {
                if (Number.isInteger(n) && n > 0 && n <= 20) setLayers(n);
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
      <Flex gap={2} alignItems="center">
        <Field
          width="128px"
          aria-label={`Reading of setting ${setting.label}, ${ASKS[way]}`}
          placeholder={placeholder}
          value={text}
          data-measures={measuresOf(way)}
          data-setting={way === 'calipers' ? setting.id : undefined}
          onChange={(e) => {
            setText(e.currentTarget.value);
            setWrong(null);
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
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
