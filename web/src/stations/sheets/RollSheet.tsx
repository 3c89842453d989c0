import { ownMachine } from '../../state/bench.js';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';

import { showLength, showSize, type UnitSystem } from '#core/units';
import { BenchSteps, type BenchWords } from '../../parts/BenchSteps.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { useUnits } from '../../state/view.js';
import { Word } from '../../theme/pieces.js';
import { useMachines, useShelf } from '../../wire/queries.js';
import { Rolled } from './Rolled.js';
import { useRollPlan, workRoll, type WorkedRoll } from './rollPlan.js';

/** The feed plan as words for the bench. */
export function rollWords(
  { mm, feeds: { byHandTo, strips, feeds } }: WorkedRoll,
  size: { width: number; height: number },
  machine: string,
  units: UnitSystem,
): BenchWords[] {
  const thick = (x: number): string => showLength(x, units, true);
  return [
    {
      title: 'Lay the stack',
      line: `${showSize(size.width, size.height, units)}, ${thick(mm)} thick. From one edge, air smoothed out.`,
      figure: showLength(mm, units),
      of: 'thick',
    },
    ...(strips > 1
      ? [
          {
            title: `Cut it in ${strips} strips`,
            line: 'It is wider than your rollers. Each goes through by itself.',
            figure: String(strips),
            of: 'strips',
          },
        ]
      : []),
    ...(byHandTo === null
      ? []
      : [
          {
            title: 'Roll it by hand',
            line: `It is too thick for your machine: with the roller to ${thick(byHandTo)} first.`,
            figure: showLength(byHandTo, units),
            of: 'by hand',
            caution: 'Forcing a thick stack strains the machine and the wrists.',
          },
        ]),
    ...feeds.map((f) => ({
      title: `Setting ${f.setting.label}`,
      line: `${f.turned ? 'Turned a quarter. ' : ''}Comes out ${thick(f.mm)}, ${showSize(f.width, f.length, units)}.`,
      figure: f.setting.label,
      of: `on the ${machine}`,
      caution: 'Folded edge first or to the side, never last: it traps air.',
    })),
  ];
}

/** Rolling a sheet at the bench as it was planned, and then the book and the diary have it. */
export default function RollSheet(): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const [machines, shelf] = [useMachines(), useShelf()];
  const roll = useRollPlan();
  if (!machines.data || !shelf.data) return <Reading error={machines.error ?? shelf.error} />;
  const own = ownMachine(machines.data);
  const worked = own && workRoll(own, roll);
  if (!own || !worked || worked.feeds.feeds.length === 0)
    return (
      <Empty
        title="Nothing to roll yet"
        action="Plan it"
        onAction={() => {
          void navigate('/sheets');
        }}
      >
        Say at the thickness ladder how thick the stack is and which setting it is to end at.
      </Empty>
    );
  return (
    <Flex direction="column" padding={5} height="100%" overflowY="auto">
      <BenchSteps
        what={'rolling'}
        steps={rollWords(worked, roll.size, own.name, units)}
        art={(at) => (
          <Edges
            worked={worked}
            at={at}
            extra={1 + (worked.feeds.strips > 1 ? 1 : 0) + (worked.feeds.byHandTo === null ? 0 : 1)}
          />
        )}
        finish={(_, back, leave) => (
          <Rolled
            own={own}
            worked={worked}
            shelf={shelf.data}
            onBack={back}
            onDone={(id) => {
              leave();
              void navigate(`/sheets/book/${id}`);
            }}
          />
        )}
        foot={
          <Word
            onClick={() => {
              void navigate('/sheets');
            }}
          >
            the plan
          </Word>
        }
      />
    </Flex>
  );
}

/** The sheet getting thinner and longer: what is done already in black. */
function Edges({
  worked: {
    mm,
    feeds: { feeds },
  },
  at,
  extra,
}: {
  readonly worked: WorkedRoll;
  readonly at: number;
  readonly extra: number;
}): ReactElement {
  const all = [{ mm, length: ((feeds[0]?.length ?? 0) * (feeds[0]?.mm ?? 0)) / mm }, ...feeds];
  const longest = Math.max(...all.map((f) => f.length));
  return (
    <Flex direction="column" gap={3} marginTop={3} aria-hidden>
      {all.map((f, i) => {
        const here = i === 0 ? at < extra : at === extra + i - 1;
        const past = i === 0 ? at >= extra : at > extra + i - 1;
        return (
          <Box
            key={i}
            height={`${Math.max(2, f.mm * 5)}px`}
            style={{ width: `${Math.max(3, (100 * f.length) / longest)}%`, maxWidth: 620 }}
            background={here || past ? 'ink' : 'transparent'}
            border="rule"
            opacity={past ? 0.35 : 1}
          />
        );
      })}
    </Flex>
  );
}
