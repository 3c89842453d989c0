import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { ASSUMED_CARD, readInstruction, translate, type Answer, type Asked } from '#core/sheet';
import { attempt, showLength, type Complaint } from '#core/units';
import type { BenchSetupDto, MachineDto } from '#contract';
import { LengthValue } from '../../parts/Value.js';
import { Meanings } from '../../parts/Meanings.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Field } from '../../theme/pieces.js';
import { change } from '../../wire/save.js';
import { GaugeList } from './Gauges.js';
import { useRollPlan } from './rollPlan.js';

type Said = { readonly asked: Asked; readonly answer: Answer } | { readonly wrong: Complaint } | null;
const COUNT = ['', 'one sheet', 'two sheets', 'three sheets', 'four sheets', 'five sheets', 'six sheets'];

interface TranslatorProps {
  readonly machines: readonly MachineDto[];
  readonly own: MachineDto;
  readonly setup: BenchSetupDto;
  readonly onAsked: (mm: number | null) => void;
}

/** What was said, understood against one's machines; the last thing said may be meant again. */
function useSaid({ machines, own, setup, onAsked }: TranslatorProps) {
  const units = useUnits();
  const [text, setText] = useState('');
  const [last, setLast] = useState<Asked | null>(null);
  const said = useMemo((): Said => {
    if (text.trim() === '') return null;
    const known = { machines, own, cardMm: setup.cardMm ?? null, system: units, gauges: setup.gauges ?? [], last };
    return attempt(
      () => {
        const asked = readInstruction(text, known);
        return { asked, answer: translate(asked, own) };
      },
      (wrong) => ({ wrong }),
    );
  }, [text, machines, own, setup.cardMm, setup.gauges, units, last]);
  const understood = said && 'asked' in said ? said : null;
  const mm = understood?.asked.mm ?? null;
  const plan = useRollPlan((s) => s.plan);
  const answerId = understood?.answer.layers === 1 ? understood.answer.setting.id : null;
  useEffect(() => {
    onAsked(mm);
  }, [mm, onAsked]);
  // what was understood is at once what the plan below leads to
  useEffect(() => {
    if (answerId !== null) plan({ toId: answerId });
  }, [answerId, plan]);
  // what was understood is what the next one may be the same as, once the field is left
  const keep = (): void => {
    if (understood) setLast(understood.asked);
  };
  return { text, setText, said, keep };
}

/** How things are said, for one who does not know. */
function Examples({ own, other }: { readonly own: MachineDto; readonly other: MachineDto | undefined }): ReactElement {
  return (
    <Caption>
      1/16 in · next to thickest · 5 cards · four layers of my {own.settings[1]?.label}
      {other ? ` · ${other.settings[1]?.label ?? ''} of ${other.name}` : ''} · 4 where 7 is widest · same as last
    </Caption>
  );
}

/** How thick a card is here. */
function CardWords({ setup }: { readonly setup: BenchSetupDto }): ReactElement {
  return (
    <Box fontSize="small" marginTop={1}>
      a card is {setup.cardMm == null ? '~' : ''}
      <LengthValue
        label="Thickness of a card"
        fine
        value={setup.cardMm ?? ASSUMED_CARD}
        onChange={(cardMm) => {
          void change('PUT', '/api/bench', { ...setup, cardMm });
        }}
      />{' '}
      thick
    </Box>
  );
}

/** What an instruction says, and the setting of one's own machine for it. */
export function Translator(props: TranslatorProps): ReactElement {
  const { machines, own, setup } = props;
  const { text, setText, said, keep } = useSaid(props);
  const other = machines.find((m) => m.id !== own.id);
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        What do they say?
      </Box>
      <Field
        data-find
        aria-label="A thickness as somebody else says it"
        value={text}
        onBlur={keep}
        onChange={(e) => {
          setText(e.currentTarget.value);
        }}
        placeholder={other ? `${other.settings[1]?.label ?? '3'} of ${other.name}` : '1.5 mm, 1/16 in'}
      />
      {said === null && <Examples own={own} other={other} />}
      <CardWords setup={setup} />
      <GaugeList setup={setup} />
      {said && 'wrong' in said && (
        <>
          <Warning>{said.wrong.message}</Warning>
          <Meanings choices={said.wrong.choices} onChoose={setText} />
        </>
      )}
      {said && 'answer' in said && <Told asked={said.asked} answer={said.answer} own={own} />}
    </div>
  );
}

function Told({
  asked,
  answer,
  own,
}: {
  readonly asked: Asked;
  readonly answer: Answer;
  readonly own: MachineDto;
}): ReactElement {
  const units = useUnits();
  const { setting, errorMm, sigmaMm, layers, other } = answer;
  const length = (x: number): string => showLength(x, units, true);
  const off = (error: number): string =>
    Math.abs(error) < 0.005 ? 'the same' : `${length(Math.abs(error))} ${error > 0 ? 'thicker' : 'thinner'}`;
  return (
    <Box marginTop={2} aria-live="polite">
      <Flex alignItems="center" gap={4}>
        <Box fontFamily="heading" fontWeight={800} fontSize="huge" lineHeight={1.1} data-answer>
          {setting.label}
        </Box>
        <Box>
          {layers > 1 ? <>{COUNT[layers]} of it, stacked, </> : null}on your <b>{own.name}</b>
          <br />
          {setting.knowledge === 'assumed' ? '~' : ''}
          {length(setting.mm * layers)}, theirs {asked.assumed ? '~' : ''}
          {length(asked.mm)} · <b>{off(errorMm)}</b>
        </Box>
      </Flex>
      <Caption>
        sure to ± {length(2 * sigmaMm)}
        {other && ` · or your ${other.label}, ${off(other.mm * layers - asked.mm)}`}
        {!other && errorMm < 0 && ' · thicker than your machine rolls'}
      </Caption>
      {own.settings.length > 0 && errorMm > asked.mm * 0.25 && (
        <Warning>Your machine does not roll this thin. Roll by hand between guides of {length(asked.mm)}.</Warning>
      )}
      {setting.knowledge === 'assumed' && (
        <Warning>
          Nobody has measured your {setting.label} yet: the answer rests on an assumption. A reading beside the ladder
          mends that.
        </Warning>
      )}
    </Box>
  );
}
