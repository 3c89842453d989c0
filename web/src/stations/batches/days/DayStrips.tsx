import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import type { PlannedJob, Slot } from '#core/days';
import { Value } from '../../../parts/Value.js';
import { grey } from '../../../theme/grey.js';
import { Caption, Word } from '../../../theme/pieces.js';
import {
  clockWords,
  dayWords,
  daysFrom,
  hoursWords,
  isoOf,
  minuteOf,
  momentOn,
  momentWords,
  readHours,
} from './clock.js';
import { Hours, SlotBox, lookOf, shareOf, type Axis } from './DayRow.js';
import type { AllDays } from './daysProblem.js';
import { hoursOn, put, withDay } from './ruleMoves.js';
import type { Days } from './useDays.js';

interface StripsProps {
  readonly answer: AllDays;
  readonly days: Days;
  readonly chosen: string | null;
  readonly onChoose: (jobId: string | null) => void;
}

/** Days that are shown at the most, and at least. */
const [MOST, LEAST] = [28, 7];
/** Minutes that a key, or the hand, moves a job by. */
const STEP = 15;
const DAY = 1440;
/** px of a day's strip with its air. */
const ROW = 84;

/** From the earliest to the latest hour of all that is shown. */
function axisOf(days: Days): Axis {
  const slots = days.plan.jobs.flatMap((j) => j.slots);
  const ends = [...days.problem.windows, ...slots].map(({ from, to }) => {
    const begin = minuteOf(from);
    return { from: begin, to: Math.min(DAY, begin + to - from) };
  });
  if (ends.length === 0) return { from: 9 * 60, to: 22 * 60 };
  const from = Math.floor(Math.min(...ends.map((e) => e.from)) / 60) * 60;
  return { from, to: Math.max(from + 180, Math.ceil(Math.max(...ends.map((e) => e.to)) / 60) * 60) };
}

/** As many days as have work, and a few more. */
function daysShown(days: Days): ReturnType<typeof daysFrom> {
  const last = Math.max(days.now, ...days.plan.jobs.flatMap((j) => j.slots.map((s) => s.to)));
  const count = Math.ceil((last - days.now) / DAY) + 1;
  return daysFrom(days.now, Math.min(MOST, Math.max(LEAST, count)));
}

/** Moving a job by the hand and by keys, a quarter hour and a day at a time. */
function useMoving({ answer, days, onChoose }: StripsProps, axis: Axis) {
  const room = useRef<HTMLDivElement>(null);
  const by = (job: PlannedJob, minutes: number): void => {
    const [first] = job.slots;
    if (first) days.save(put(answer, job.job.id, Math.max(days.now, first.from + minutes)));
  };
  const drag = (job: PlannedJob, slot: Slot) => (down: PointerEvent) => {
    if (down.button !== 0) return;
    const width = (room.current?.clientWidth ?? 1) / (axis.to - axis.from);
    let at: number | null = null;
    const move = (e: globalThis.PointerEvent): void => {
      const [dx, dy] = [e.clientX - down.clientX, e.clientY - down.clientY];
      if (at === null && Math.hypot(dx, dy) < 6) return;
      const minutes = Math.round(dx / width / STEP) * STEP + Math.round(dy / ROW) * DAY;
      at = Math.max(days.now, slot.from + minutes);
      days.setDragged({ jobId: job.job.id, at });
    };
    const end = (): void => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
      days.setDragged(null);
      if (at !== null) days.save(put(answer, job.job.id, at));
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
    onChoose(job.job.id);
  };
  const keys: Readonly<Record<string, number>> = { ArrowLeft: -STEP, ArrowRight: STEP, ArrowUp: -DAY, ArrowDown: DAY };
  const key = (job: PlannedJob) => (e: KeyboardEvent) => {
    const minutes = keys[e.key];
    if (minutes === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    by(job, minutes);
  };
  return { room, drag, key };
}

/** What is left alone after a day's work, and until when. */
function Waits({ jobs, on }: { readonly jobs: readonly PlannedJob[]; readonly on: string }): ReactElement | null {
  const resting = jobs.filter(({ job, slots }) => {
    const last = slots.at(-1);
    return job.waits >= 60 && last !== undefined && isoOf(last.to) === on;
  });
  if (resting.length === 0) return null;
  return (
    <Caption display="block" borderTop={`1px dashed ${grey.ink}`} textAlign="right">
      {resting
        .map(({ job, slots }) => `${job.name}: leave it until ${momentWords((slots.at(-1) as Slot).to + job.waits)}`)
        .join(' · ')}
    </Caption>
  );
}

interface DayProps extends StripsProps {
  readonly day: ReturnType<typeof daysFrom>[number];
  readonly axis: Axis;
  readonly moving: ReturnType<typeof useMoving>;
  readonly first: boolean;
}

/** One day: its free hours, and what is done in them. */
function Day({ day, axis, moving, first, ...props }: DayProps): ReactElement {
  const { answer, days, chosen, onChoose } = props;
  const { on, weekday } = day;
  const hours = hoursOn(answer.rule, on, weekday);
  const names = new Map(answer.batches.map((b, i) => [b.id, { name: b.name, look: lookOf(i) }]));
  const here = days.plan.jobs.flatMap((planned) =>
    planned.slots.filter((s) => s.to > s.from && isoOf(s.from) === on).map((slot) => ({ planned, slot })),
  );
  return (
    <Box as="li" aria-label={dayWords(momentOn(on, 0))}>
      <Flex alignItems="stretch" minHeight="62px">
        <Box width="92px" flex="none" paddingTop={1}>
          <b>{dayWords(momentOn(on, 0))}</b>
          <Box fontSize="caption">
            <Value
              label={`Free on ${dayWords(momentOn(on, 0))}`}
              text={hours.length === 0 ? 'not free' : hoursWords(hours)}
              read={(text) => readHours(text.replace('free', ''))}
              onChange={(next) => {
                days.save(withDay(answer.rule, on, weekday, next));
              }}
            />
          </Box>
        </Box>
        <Box position="relative" flex={1} borderBottom="rule" ref={first ? moving.room : undefined}>
          {hours.map(({ from, to }) => (
            <Box
              key={from}
              position="absolute"
              top={0}
              bottom={0}
              background="paper"
              opacity={0.45}
              style={{ left: `${shareOf(from, axis)}%`, width: `${shareOf(to, axis) - shareOf(from, axis)}%` }}
              title={`free ${clockWords(from)} to ${clockWords(to)}`}
            />
          ))}
          {here.map(({ planned, slot }) => (
            <SlotBox
              key={`${slot.jobId} ${slot.need} ${slot.from}`}
              {...{ slot, planned, axis }}
              batchName={names.get(planned.job.batchId)?.name ?? ''}
              look={names.get(planned.job.batchId)?.look ?? lookOf(0)}
              chosen={chosen === planned.job.id}
              onChoose={() => {
                onChoose(planned.job.id);
              }}
              onDrag={moving.drag(planned, slot)}
              onKey={moving.key(planned)}
            />
          ))}
        </Box>
      </Flex>
      <InWords here={here} nameOf={(id) => names.get(id)?.name ?? ''} />
      <Waits jobs={days.plan.jobs} on={on} />
    </Box>
  );
}

type Shown = ReturnType<typeof daysShown>;

/** Days without work, where several follow each other. */
function idleRuns(shown: Shown, busy: ReadonlySet<string>): Set<string> {
  const idle = (i: number): boolean => shown[i] !== undefined && !busy.has(shown[i].on);
  return new Set(shown.filter((_, i) => idle(i) && (idle(i - 1) || idle(i + 1))).map((d) => d.on));
}

/** Several days in which nothing has to be done yet, as one line. */
function FoldedDays({
  shown,
  folded,
  at,
  onOpen,
}: {
  readonly shown: Shown;
  readonly folded: ReadonlySet<string>;
  readonly at: number;
  readonly onOpen: () => void;
}): ReactElement | null {
  const before = shown[at - 1];
  if (before && folded.has(before.on)) return null;
  const rest = shown.slice(at);
  const length = rest.findIndex((d) => !folded.has(d.on));
  const last = rest[(length < 0 ? rest.length : length) - 1];
  const first = rest[0];
  if (!first || !last) return null;
  return (
    <Box as="li" borderBottom="hair" paddingY={1}>
      <b>
        {dayWords(momentOn(first.on, 0))} to {dayWords(momentOn(last.on, 0))}
      </b>{' '}
      <Caption>nothing has to be done then</Caption>{' '}
      <Word fontSize="small" onClick={onOpen}>
        show these days
      </Word>
    </Box>
  );
}

/** What is done on a day, one after the other, in words. */
function InWords({
  here,
  nameOf,
}: {
  readonly here: readonly { readonly planned: PlannedJob; readonly slot: Slot }[];
  readonly nameOf: (batchId: string) => string;
}): ReactElement | null {
  if (here.length === 0) return null;
  const inOrder = [...here].sort((a, b) => a.slot.from - b.slot.from);
  return (
    <Caption display="block" marginLeft="92px">
      {inOrder
        .map(({ planned: { job }, slot }) => {
          const what = slot.need === 'oven' ? `${job.name}, in the oven` : job.name;
          return `${clockWords(minuteOf(slot.from))} ${what} (${nameOf(job.batchId)})`;
        })
        .join(' · ')}
    </Caption>
  );
}

/** Each day a strip that is cut in pieces: what is done when. */
export function DayStrips(props: StripsProps): ReactElement {
  const { days } = props;
  const axis = axisOf(days);
  const moving = useMoving(props, axis);
  const [opened, setOpened] = useState(false);
  const shown = daysShown(days);
  const busy = new Set(days.plan.jobs.flatMap((j) => j.slots.map((s) => isoOf(s.from))));
  const folded = opened ? new Set<string>() : idleRuns(shown, busy);
  const unfolded = shown.find((d) => !folded.has(d.on));
  const open = (): void => {
    setOpened(true);
  };
  return (
    <div>
      <Hours axis={axis} />
      <Flex as="ol" direction="column" gap={2} aria-label="Days">
        {shown.map((day, i) =>
          folded.has(day.on) ? (
            <FoldedDays key={day.on} {...{ shown, folded, at: i }} onOpen={open} />
          ) : (
            <Day key={day.on} {...props} {...{ day, axis, moving }} first={day === unfolded} />
          ),
        )}
      </Flex>
    </div>
  );
}
