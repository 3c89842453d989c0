import type { KeyboardEvent, ReactElement } from 'react';
import type { Knowledge } from '#core/sheet';
import { showLength } from '#core/units';
import type { MachineDto } from '#contract';
import { useUnits, useView } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import type { Edge, Equals, Rung } from './equals.js';
import { CLEAR, HEIGHT, figureOf, isPlain, spread, type LadderScale } from './ladderPlan.js';

const FILL: Readonly<Record<Knowledge, string>> = {
  measured: grey.ink,
  interpolated: grey.soft,
  assumed: 'url(#assumed)',
};

/** Keeps figures readable where a line runs behind them. */
const HALO = { stroke: grey.bench, strokeWidth: 5, paintOrder: 'stroke' } as const;
/** Length of an edge as it is drawn, for a machine and for cards or guides; and how high, beside its thickness. */
const [LONG, SHORT, FLATTENED, LEAST] = [118, 44, 0.075, 3];

/** What is looked at, chosen, and drawn at its true size. */
export interface LadderState {
  readonly scale: LadderScale;
  readonly equals: Equals | null;
  readonly settingId: string | null;
  /** edges as thick as they are, on this screen */
  readonly trueSize: boolean;
  readonly onAt: (id: string | null) => void;
  readonly onChoose: (machineId: string, settingId: string | null) => void;
}

/** What does as a click does, from the keyboard. */
const byKey = (choose: () => void) => (k: KeyboardEvent) => {
  if (k.key !== 'Enter' && k.key !== ' ') return;
  k.preventDefault();
  k.stopPropagation();
  choose();
};

interface FrameProps {
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly dashed: boolean;
}

/** A frame around an edge: whole round the one looked at, dashed round its equals. */
function Frame({ y, width, height, dashed }: FrameProps): ReactElement {
  const line = dashed ? { strokeDasharray: '3 2' } : { strokeWidth: 2 };
  return (
    <rect x={-4} y={y - height / 2 - 4} width={width + 8} height={height + 8} fill="none" stroke={grey.ink} {...line} />
  );
}

interface EdgeProps extends LadderState {
  readonly edge: Edge;
  readonly width: number;
  /** where its figure stands */
  readonly figure: number;
  readonly onClick: () => void;
}

/** The edge of one sheet with its label and its figure. */
function OneEdge({ edge, width, figure, onClick, ...own }: EdgeProps): ReactElement {
  const { scale, equals, settingId, trueSize, onAt } = own;
  const units = useUnits();
  const pxPerMm = useView((s) => s.pxPerMm);
  const height = trueSize ? Math.max(1, edge.mm * pxPerMm) : Math.max(LEAST, edge.mm * scale.pxPerMm * FLATTENED);
  const y = scale.y(edge.mm);
  const guess = edge.knowledge === 'assumed';
  const lookAt = (): void => {
    onAt(edge.id);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${edge.words}, ${showLength(edge.mm, units, true)}, ${edge.knowledge}`}
      style={{ cursor: 'pointer' }}
      onPointerEnter={lookAt}
      onFocus={lookAt}
      onBlur={() => {
        onAt(null);
      }}
      onClick={onClick}
      onKeyDown={byKey(onClick)}
    >
      <rect x={-36} y={figure - CLEAR / 2} width={width + 92} height={CLEAR} fill="transparent" />
      <rect
        x={0}
        y={y - height / 2}
        width={width}
        height={height}
        fill={FILL[edge.knowledge]}
        stroke={guess ? grey.ink : 'none'}
      />
      {(edge.id === settingId || edge.id === equals?.edge.id) && (
        <Frame y={y} width={width} height={height} dashed={false} />
      )}
      {equals?.near.some((n) => n.edge.id === edge.id) && <Frame y={y} width={width} height={height} dashed />}
      <text x={-8} y={figure + 5} textAnchor="end" fontWeight="700" fontSize="16" fill={grey.ink} {...HALO}>
        {edge.label}
      </text>
      <text x={width + 8} y={figure + 4} fill={grey.ink} {...HALO}>
        {guess ? '~' : ''}
        {figureOf(edge.mm, units)}
      </text>
    </g>
  );
}

const NAME = { y: HEIGHT + 28, fontSize: 15, fontWeight: 700, fill: grey.ink } as const;

interface NameProps {
  readonly rung: Rung;
  readonly machine: MachineDto;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

/** The name of a machine under its edges; a click opens it. */
function MachineName({ rung, machine, chosen, onChoose }: NameProps): ReactElement {
  const units = useUnits();
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Choose ${rung.name}`}
      style={{ cursor: 'pointer' }}
      onClick={onChoose}
      onKeyDown={byKey(onChoose)}
    >
      <text {...NAME}>{rung.name}</text>
      <text y={HEIGHT + 45} fontSize="12" fill={grey.ink}>
        {rung.edges[0]?.label} is widest · {showLength(machine.rollerWidthMm, units)} wide
      </text>
      {chosen && <rect x={0} y={HEIGHT + 50} width={LONG} height={9} fill={grey.ink} />}
    </g>
  );
}

interface LadderRungProps extends LadderState {
  readonly rung: Rung;
  /** where it is one */
  readonly machine: MachineDto | undefined;
  readonly x: number;
  readonly chosen: boolean;
}

/** A machine, cards or guides: all their edges under each other. */
export function LadderRung({ rung, machine, x, chosen, ...own }: LadderRungProps): ReactElement {
  const plain = isPlain(rung);
  const edges = rung.edges.filter((e) => e.mm <= own.scale.top);
  const figures = spread(edges.map((e) => own.scale.y(e.mm)));
  return (
    <g transform={`translate(${x} 0)`}>
      {edges.map((edge, i) => (
        <OneEdge
          key={edge.id}
          {...own}
          edge={edge}
          width={plain ? SHORT : LONG}
          figure={figures[i] ?? 0}
          onClick={() => {
            if (plain) own.onAt(edge.id);
            else own.onChoose(rung.id, edge.id);
          }}
        />
      ))}
      {machine ? (
        <MachineName
          rung={rung}
          machine={machine}
          chosen={chosen}
          onChoose={() => {
            own.onChoose(rung.id, null);
          }}
        />
      ) : (
        <text {...NAME}>{rung.name}</text>
      )}
    </g>
  );
}
