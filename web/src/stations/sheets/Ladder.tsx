import { useState, type ReactElement } from 'react';
import { showLength } from '#core/units';
import type { BenchSetupDto, MachineDto } from '#contract';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import { equalsOf, type Equals } from './equals.js';
import { FOOT, HEIGHT, LEFT, TOP, columnsOf, nearWords, rungsOf, scaleFor, type LadderScale } from './ladderPlan.js';
import { LadderRung } from './LadderRung.js';

/** Room between the left of a column and its edges, for the labels. */
const INDENT = 40;

interface LadderProps {
  readonly machines: readonly MachineDto[];
  readonly setup: BenchSetupDto;
  readonly chosen: string | undefined;
  readonly settingId: string | null;
  /** mm somebody asked for */
  readonly pointed: number | null;
  /** edges as thick as they are, on this screen */
  readonly trueSize: boolean;
  readonly onChoose: (machineId: string, settingId: string | null) => void;
}

/** What the edge that is looked at is on the others. */
function EqualsLine({ equals }: { readonly equals: Equals | null }): ReactElement {
  const units = useUnits();
  const show = (mm: number): string => showLength(mm, units, true);
  return (
    <p aria-live="polite" style={{ minHeight: 44, fontSize: 13.5, maxWidth: 760 }}>
      {equals ? (
        <>
          <b>{equals.edge.words}</b>, {equals.edge.knowledge === 'assumed' ? '~' : ''}
          {show(equals.edge.mm)}, is {equals.near.map((n) => nearWords(n, show)).join(' · ')}
        </>
      ) : (
        'Point at an edge to see its equals on the others.'
      )}
    </p>
  );
}

/** The lines of the scale. */
function Lines({ scale, width }: { readonly scale: LadderScale; readonly width: number }): ReactElement {
  return (
    <>
      {scale.lines.map(({ y, words }) => (
        <g key={words}>
          <path d={`M${LEFT} ${y}H${width}`} stroke={grey.scale} />
          <text x={LEFT - 10} y={y + 4} textAnchor="end" fill={grey.ink}>
            {words}
          </text>
        </g>
      ))}
    </>
  );
}

/**
 * The edges of the sheets of every machine, of cards and of roller guides against one scale: equal thicknesses
 * stand side by side.
 */
export function Ladder({ machines, setup, chosen, settingId, pointed, trueSize, onChoose }: LadderProps): ReactElement {
  const units = useUnits();
  const [at, setAt] = useState<string | null>(null);
  const rungs = rungsOf(machines, setup, (mm) => showLength(mm, units, true));
  const scale = scaleFor(rungs, pointed, units);
  const columns = columnsOf(rungs);
  const [width, height] = [columns.at(-1) ?? 0, HEIGHT + TOP + FOOT];
  const equals = equalsOf(rungs, at ?? settingId);
  const line = equals?.edge.mm ?? pointed;
  const room = trueSize ? { maxWidth: 'none' } : { maxWidth: '100%', height: 'auto' };
  return (
    <div>
      <EqualsLine equals={equals} />
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label="Thickness ladder"
        style={{ flex: 'none', display: 'block', ...room }}
        onPointerLeave={() => {
          setAt(null);
        }}
      >
        <g transform={`translate(0 ${TOP})`} fontSize="13">
          <Lines scale={scale} width={width} />
          {line !== null && (
            <path d={`M${LEFT} ${scale.y(line)}H${width}`} stroke={grey.ink} strokeWidth="2" strokeDasharray="2 4" />
          )}
          {rungs.map((rung, column) => (
            <LadderRung
              key={rung.id}
              rung={rung}
              machine={machines.find((m) => m.id === rung.id)}
              x={(columns[column] ?? 0) + INDENT}
              chosen={rung.id === chosen}
              {...{ scale, equals, settingId, trueSize, onChoose }}
              onAt={setAt}
            />
          ))}
        </g>
      </svg>
    </div>
  );
}
