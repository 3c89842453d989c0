import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { SCHOOLS_OF_THINNING, type Feed } from '#core/sheet';
import { complaint, readSize, showLength, showSize, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { Tick } from '../../parts/Tick.js';
import { CountValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { useRollPlan, workRoll, type WorkedRoll } from './rollPlan.js';

const SCHOOLS = SCHOOLS_OF_THINNING.map((value) => ({
  value,
  text: value === 'straight' ? 'straight to it' : 'one setting at a time',
}));
/** px of the drawing for a mm of thickness, at most so high. */
const [TALL, WIDE, PER_MM] = [74, 50, 11];

/** Sheets in a stack, at most. */
const MOST_LAYERS = 12;

/** A size with both its sides. @throws Complaint `unit/unreadable`, `parts/unreadable` */
function readSheet(text: string, units: UnitSystem): { width: number; height: number } {
  const { width, height } = readSize(text, units);
  if (height === null || !(width > 0) || !(height > 0))
    throw complaint('unit/unreadable', { text, wanted: 'a size. Write 60 × 90 mm' });
  return { width, height };
}

interface WorkedProps {
  readonly worked: WorkedRoll;
}

/** How many sheets of which setting lie on each other, and how large they are. */
function Stack({ worked: { settings, from } }: WorkedProps): ReactElement {
  const units = useUnits();
  const { layers, size, plan } = useRollPlan();
  const options = settings.map((s) => ({ value: s.id, text: s.label }));
  return (
    <>
      <CountValue
        label="Sheets in the stack"
        value={layers}
        onChange={(n) => {
          if (Number.isInteger(n) && n > 0 && n <= MOST_LAYERS) plan({ layers: n });
        }}
      />{' '}
      of your{' '}
      <Choice
        label="Setting of the sheets in the stack"
        value={from.id}
        options={options}
        onChange={(fromId) => {
          plan({ fromId });
        }}
      />
      ,{' '}
      <Value
        label="Size of the stack"
        text={showSize(size.width, size.height, units)}
        read={(text) => readSheet(text, units)}
        onChange={(next) => {
          plan({ size: next });
        }}
      />
    </>
  );
}

/** The stack, and where it is to end, in one sentence. */
function Sentence({ worked }: WorkedProps): ReactElement {
  const units = useUnits();
  const { thinning, turns, plan } = useRollPlan();
  const { settings, to, mm } = worked;
  const options = settings.map((s) => ({ value: s.id, text: s.label }));
  return (
    <Box fontSize="small">
      <Stack worked={worked} />, {showLength(mm, units, true)} together, to your{' '}
      <Choice
        label="Setting to end at"
        value={to.id}
        options={options}
        onChange={(toId) => {
          plan({ toId });
        }}
      />
      ,{' '}
      <Choice
        label="How it is thinned"
        value={thinning}
        options={SCHOOLS}
        onChange={(next) => {
          plan({ thinning: next });
        }}
      />{' '}
      ·{' '}
      <Tick
        checked={turns}
        onChange={(next) => {
          plan({ turns: next });
        }}
      >
        quarter turns
      </Tick>
    </Box>
  );
}

/** The sheet after each pass. */
function Passes({ worked }: WorkedProps): ReactElement {
  const units = useUnits();
  const { size } = useRollPlan();
  const { mm } = worked;
  const { byHandTo, feeds, strips } = worked.feeds;
  if (feeds.length === 0 && byHandTo === null)
    return (
      <Box fontSize="small" marginTop={2}>
        It is no thicker than that already.
      </Box>
    );
  return (
    <Flex as="ol" gap={2} marginTop={3} alignItems="flex-end" wrap="wrap" aria-label="Passes">
      <Edge title="stack" mm={mm} size={showSize(size.width, size.height, units)} />
      {byHandTo !== null && (
        <Edge
          title="by hand"
          mm={byHandTo}
          size={showSize(size.width / strips, (size.height * mm) / byHandTo, units)}
        />
      )}
      {feeds.map((f: Feed) => (
        <Edge
          key={f.setting.id}
          title={`${f.turned ? '↻ ' : ''}${f.setting.label}`}
          mm={f.mm}
          size={showSize(f.width, f.length, units)}
        />
      ))}
    </Flex>
  );
}

/** What to beware of. */
function Warnings({ worked, own }: WorkedProps & { readonly own: MachineDto }): ReactElement {
  const units = useUnits();
  const { size, turns } = useRollPlan();
  const { byHandTo, feeds, strips } = worked.feeds;
  return (
    <>
      {strips > 1 && (
        <Warning>
          At {showLength(size.width, units)} it is wider than your rollers: cut it in {strips} strips first.
        </Warning>
      )}
      {turns && feeds.some((f, i) => i > 0 && !f.turned) && (
        <Warning>{turnWords(feeds, own.rollerWidthMm, units)}</Warning>
      )}
      {byHandTo !== null && (
        <Warning>Too thick for your machine: roll it by hand to {showLength(byHandTo, units, true)} first.</Warning>
      )}
    </>
  );
}

/** From a stack to a setting: which settings in turn, and the sheet after each. */
export function FeedPlan({ own }: { readonly own: MachineDto }): ReactElement {
  const worked = workRoll(own, useRollPlan());
  if (!worked) return <span />;
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        How to get there
      </Box>
      <Sentence worked={worked} />
      <Passes worked={worked} />
      <Warnings worked={worked} own={own} />
      <Box fontWeight={600} marginTop={2}>
        <Link to="/sheets/roll">To the bench: roll it</Link>
      </Box>
      <Caption>fold first or to the side, never last · each pass at most halves it</Caption>
    </div>
  );
}

/** Where quarter turns were asked for and cannot be. */
function turnWords(feeds: readonly Feed[], rollerMm: number, units: UnitSystem): string {
  const first = feeds.findIndex((f, i) => i > 0 && !f.turned);
  return (
    `From ${feeds[first]?.setting.label ?? ''} on it is longer than your rollers are wide ` +
    `(${showLength(rollerMm, units)}), so that it cannot be turned any more: the pattern is stretched ` +
    'one way from there. Begin with a shorter stack, or cut it in two.'
  );
}

function Edge({
  title,
  mm,
  size,
}: {
  readonly title: string;
  readonly mm: number;
  readonly size: string;
}): ReactElement {
  const units = useUnits();
  return (
    <Box as="li" textAlign="center" flex="none" listStyleType="none">
      <Box
        width={`${WIDE}px`}
        height={`${Math.max(2, Math.min(TALL, mm * PER_MM))}px`}
        background="ink"
        margin="0 auto"
      />
      <Box fontWeight={700} fontSize="small">
        {title}
      </Box>
      <Box fontSize="caption" lineHeight={1.3}>
        {showLength(mm, units, true)}
        <br />
        {size.replace(/ (mm|in)$/, '')}
      </Box>
    </Box>
  );
}
