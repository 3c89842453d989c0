import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { showTemperature } from '#core/units';
import type { OvenDto } from '#contract';
import { Empty, Reading } from '../../../parts/Empty.js';
import { freeName, takenNames } from '../../../parts/names.js';
import { LengthValue, TemperatureValue, TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import { useMachines, useOvens } from '../../../wire/queries.js';
import { change, put, useRefusal } from '../../../wire/save.js';
import { InTheOven } from '../../../parts/baking/InTheOven.js';
import { Loads } from './Loads.js';
import { Readings } from './Readings.js';
import { WarmingCurve } from './WarmingCurve.js';
import { newOven, ownOven, runsWords, sureWords, toSet, warmingWords } from './ovenWords.js';

/** What is asked about first, and what can be, °C. */
const [USUAL, COLDEST, HOTTEST] = [130, 60, 180] as const;

/** What to set for a true temperature, in one sentence, and how it gets there. */
function Setting({ oven }: { readonly oven: OvenDto }): ReactElement {
  const units = useUnits();
  const [celsius, setCelsius] = useState<number>(USUAL);
  const set = useMemo(() => toSet(oven, celsius), [oven, celsius]);
  return (
    <>
      <Box fontSize="22px" lineHeight={1.5}>
        For a true{' '}
        <TemperatureValue
          label="True temperature that is wanted"
          value={celsius}
          onChange={(wanted) => {
            if (wanted >= COLDEST && wanted <= HOTTEST) setCelsius(wanted);
          }}
        />{' '}
        set the dial to <b>{showTemperature(set.dial, units)}</b>: {runsWords(set.oven, set.dial, units)} (
        {sureWords(set.oven, set.off, units)}).
      </Box>
      <WarmingCurve of={oven} set={set} celsius={celsius} />
      <Second>{warmingWords(set, celsius, units)}</Second>
    </>
  );
}

interface OneOvenProps {
  readonly oven: OvenDto;
  readonly all: readonly OvenDto[];
  readonly onChoose: (id: string) => void;
  readonly onAdd: () => void;
}

/** One oven: how it warms, what to set, what was read in it, and its tray. */
function OneOven({ oven, all, onChoose, onAdd }: OneOvenProps): ReactElement {
  const path = `/api/ovens/${oven.id}`;
  const refusal = useRefusal(path);
  const save = (next: OvenDto): void => {
    void put<OvenDto>(path, next, next);
  };
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflow="auto" minWidth={0} css={{ '& > *': { flexShrink: 0 } }}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>
            <TextValue
              label="Name of the oven"
              value={oven.name}
              refusal={refusal?.sentenceFor('name')}
              onChange={(name) => {
                save({ ...oven, name });
              }}
            />
          </h1>
          <Link to="/batches">to the batches</Link>
        </Flex>
        <InTheOven />
        <Setting oven={oven} />
        <Readings oven={oven} onChange={save} />
        <Loads oven={oven} />
        {refusal && refusal.sentenceFor('name') === undefined && <Warning>{refusal.message}</Warning>}
      </Flex>
      <Strip aria-label="The oven">
        <Tray oven={oven} onChange={save} />
        <BakedIn oven={oven} all={all} />
        <Rule />
        <Others oven={oven} all={all} onChoose={onChoose} onAdd={onAdd} />
      </Strip>
    </Grid>
  );
}

/** How large its tray is. */
function Tray({ oven, onChange }: { readonly oven: OvenDto; readonly onChange: (oven: OvenDto) => void }) {
  return (
    <Box>
      <Box as="h2" marginBottom={1}>
        Its tray
      </Box>
      <LengthValue
        label="Width of the tray"
        value={oven.trayWidthMm}
        onChange={(trayWidthMm) => {
          onChange({ ...oven, trayWidthMm });
        }}
      />{' '}
      ×{' '}
      <LengthValue
        label="Length of the tray"
        value={oven.trayLengthMm}
        onChange={(trayLengthMm) => {
          onChange({ ...oven, trayLengthMm });
        }}
      />
      <Caption display="block" marginTop={2}>
        Until it was read: a dial that is right to ± 15 °C and a tenth, warm by two thirds in 8 minutes, 5 °C beyond at
        first. Assumptions, which each reading makes smaller.
      </Caption>
    </Box>
  );
}

/** Which of several ovens batches are baked in: their loads are planned for its tray. */
function BakedIn({ oven, all }: Pick<OneOvenProps, 'oven' | 'all'>): ReactElement | null {
  const setup = useMachines().data?.setup;
  if (!setup || all.length < 2) return null;
  if (ownOven(all, setup)?.id === oven.id) return <Caption>Batches are baked in this one.</Caption>;
  return (
    <Word
      fontSize="small"
      textAlign="left"
      onClick={() => {
        void change('PUT', '/api/bench', { ...setup, ovenId: oven.id });
      }}
    >
      bake batches in this one
    </Word>
  );
}

/** The other ovens, one more, and this one taken away. */
function Others({ oven, all, onChoose, onAdd }: OneOvenProps): ReactElement {
  return (
    <Flex direction="column" gap={2} fontSize="small" alignItems="flex-start">
      {all
        .filter((o) => o.id !== oven.id)
        .map((other) => (
          <Word
            key={other.id}
            onClick={() => {
              onChoose(other.id);
            }}
          >
            {other.name}
          </Word>
        ))}
      <Word onClick={onAdd}>another oven</Word>
      <Word
        onClick={() => {
          void change('DELETE', `/api/ovens/${oven.id}?version=${oven.version}`);
        }}
      >
        take {oven.name} away
      </Word>
    </Flex>
  );
}

/** Ovens of one's own: what to set on the dial for a true temperature. */
export default function Ovens(): ReactElement {
  const ovens = useOvens();
  const setup = useMachines().data?.setup;
  const [chosen, setChosen] = useState<string | null>(null);
  if (!ovens.data) return <Reading error={ovens.error} />;
  const add = (): void => {
    const oven = newOven(freeName('Kitchen oven', takenNames(ovens.data)));
    void change('PUT', `/api/ovens/${oven.id}`, oven);
    setChosen(oven.id);
  };
  const open = ovens.data.find((o) => o.id === chosen) ?? ownOven(ovens.data, setup);
  if (!open)
    return (
      <Empty title="No oven yet" action="Describe your oven" onAction={add}>
        A dial is often off by ten degrees and more. Read a separate thermometer a few times: then Sledge says what to
        set for the temperature on the packet, and how long it takes to get there.
      </Empty>
    );
  return <OneOven key={open.id} oven={open} all={ovens.data} onChoose={setChosen} onAdd={add} />;
}
