import { useState, type ReactElement } from 'react';
import { ASSUMED_CARD, USUAL_GUIDES, thicknesses, type Knowledge } from '#core/sheet';
import { MM_PER_INCH, showLength } from '#core/units';
import type { BenchSetupDto, MachineDto } from '#contract';
import { useUnits, useView } from '../../state/view.js';
import { equalsOf, type Edge, type Rung } from './equals.js';
import { grey } from '../../theme/grey.js';

const FILL: Readonly<Record<Knowledge, string>> = {
  measured: grey.ink,
  interpolated: grey.soft,
  assumed: 'url(#assumed)',
};
const [LEFT, TOP, HEIGHT] = [64, 8, 520];
/** Room for one machine, and for cards or guides. */
const [MACHINE, PLAIN] = [224, 132];
/** Nearer than this two figures would lie over each other. */
const CLEAR = 17;
const MOST_CARDS = 12;

/** Keeps figures readable where a line runs behind them. */
const HALO = { stroke: grey.bench, strokeWidth: 5, paintOrder: 'stroke' } as const;

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

/** Moves figures apart where edges lie close; each keeps as near to its edge as it can. */
function spread(ys: readonly number[]): number[] {
  const out: number[] = [];
  for (const y of ys) out.push(Math.max(y, (out.at(-1) ?? -Infinity) + CLEAR));
  const over = (out.at(-1) ?? 0) - HEIGHT;
  return over <= 0 ? out : out.map((y, i) => Math.min(y, HEIGHT - (out.length - 1 - i) * CLEAR));
}

function rungsOf(machines: readonly MachineDto[], setup: BenchSetupDto, show: (mm: number) => string): Rung[] {
  const card = setup.cardMm ?? ASSUMED_CARD;
  const knowledge: Knowledge = setup.cardMm == null ? 'assumed' : 'measured';
  return [
    ...machines.map((m): Rung => ({
      id: m.id,
      name: m.name,
      edges: thicknesses(m).map((s) => ({
        id: s.id,
        label: s.label,
        words: `Setting ${s.label} of ${m.name}`,
        mm: s.mm,
        knowledge: s.knowledge,
      })),
    })),
    {
      id: 'cards',
      name: 'Cards',
      edges: Array.from({ length: MOST_CARDS }, (_, i): Edge => ({
        id: `card${i}`,
        label: String(MOST_CARDS - i),
        words: MOST_CARDS - i === 1 ? 'One card' : `${MOST_CARDS - i} cards`,
        mm: (MOST_CARDS - i) * card,
        knowledge,
      })),
    },
    {
      id: 'guides',
      name: 'Guides',
      edges: [...(setup.guides ?? USUAL_GUIDES)]
        .sort((a, b) => b - a)
        .map((mm): Edge => ({
          id: `guide${mm}`,
          label: '',
          words: `Guides of ${show(mm)}`,
          mm,
          knowledge: setup.guides == null ? 'assumed' : 'measured',
        })),
    },
  ];
}

/**
 * The edges of the sheets of every machine, of cards and of roller guides against one scale: equal thicknesses
 * stand side by side.
 */
export function Ladder({ machines, setup, chosen, settingId, pointed, trueSize, onChoose }: LadderProps): ReactElement {
  const units = useUnits();
  const pxPerMm = useView((s) => s.pxPerMm);
  const [at, setAt] = useState<string | null>(null);
  const show = (mm: number): string => showLength(mm, units, true);
  const rungs = rungsOf(machines, setup, show);
  const widest = Math.max(
    1,
    pointed ?? 0,
    ...rungs.filter((r) => r.id !== 'guides' && r.id !== 'cards').flatMap((m) => m.edges.map((s) => s.mm)),
  );
  const step = units === 'metric' ? 0.5 : MM_PER_INCH / 32;
  const top = Math.ceil((widest * 1.04) / step) * step;
  const scale = HEIGHT / top;
  const y = (mm: number): number => HEIGHT - mm * scale;
  const x0: number[] = [LEFT];
  for (const r of rungs) x0.push((x0.at(-1) ?? 0) + (r.id === 'cards' || r.id === 'guides' ? PLAIN : MACHINE));
  const width = x0.at(-1) ?? 0;
  const ticks = Array.from({ length: Math.round(top / step) + 1 }, (_, i) => i);
  const tickWords = (i: number): string => (units === 'metric' ? `${+(i * step).toFixed(1)} mm` : `${i}/32 in`);
  const equals = equalsOf(rungs, at ?? settingId);
  const line = equals?.edge.mm ?? pointed;
  return (
    <div>
      <p aria-live="polite" style={{ minHeight: 44, fontSize: 13.5, maxWidth: 760 }}>
        {equals ? (
          <>
            <b>{equals.edge.words}</b>, {equals.edge.knowledge === 'assumed' ? '~' : ''}
            {show(equals.edge.mm)}, is{' '}
            {equals.near.map((n, i) => (
              <span key={n.edge.id}>
                {i > 0 && ' · '}
                {n.edge.words.toLowerCase().startsWith('setting')
                  ? `${n.edge.label} of ${n.rung.name}`
                  : n.edge.words.toLowerCase()}
                {Math.abs(n.off) < 0.005
                  ? ', the same'
                  : ` (${show(Math.abs(n.off))} ${n.off > 0 ? 'thicker' : 'thinner'})`}
              </span>
            ))}
          </>
        ) : (
          'Point at an edge to see its equals on the others.'
        )}
      </p>
      <svg
        width={width}
        height={HEIGHT + TOP + 64}
        viewBox={`0 0 ${width} ${HEIGHT + TOP + 64}`}
        role="group"
        aria-label="Thickness ladder"
        style={{
          flex: 'none',
          maxWidth: trueSize ? 'none' : '100%',
          height: trueSize ? undefined : 'auto',
          display: 'block',
        }}
        onPointerLeave={() => {
          setAt(null);
        }}
      >
        <g transform={`translate(0 ${TOP})`} fontSize="13">
          {ticks.map((i) => (
            <g key={i}>
              <path d={`M${LEFT} ${y(i * step)}H${width}`} stroke={grey.scale} />
              <text x={LEFT - 10} y={y(i * step) + 4} textAnchor="end" fill={grey.ink}>
                {tickWords(i)}
              </text>
            </g>
          ))}
          {line !== null && (
            <path d={`M${LEFT} ${y(line)}H${width}`} stroke={grey.ink} strokeWidth="2" strokeDasharray="2 4" />
          )}
          {rungs.map((rung, column) => {
            const plain = rung.id === 'cards' || rung.id === 'guides';
            const [x, edge] = [(x0[column] ?? 0) + 40, plain ? 44 : 118];
            const edges = rung.edges.filter((e) => e.mm <= top);
            const figures = spread(edges.map((e) => y(e.mm)));
            return (
              <g key={rung.id} transform={`translate(${x} 0)`}>
                {edges.map((e, i) => {
                  const h = trueSize ? Math.max(1, e.mm * pxPerMm) : Math.max(3, e.mm * scale * 0.075);
                  const figure = figures[i] ?? 0;
                  const near = equals?.near.some((n) => n.edge.id === e.id);
                  const choose = (): void => {
                    if (plain) setAt(e.id);
                    else onChoose(rung.id, e.id);
                  };
                  return (
                    <g
                      key={e.id}
                      role="button"
                      tabIndex={0}
                      aria-label={`${e.words}, ${show(e.mm)}, ${e.knowledge}`}
                      style={{ cursor: 'pointer' }}
                      onPointerEnter={() => {
                        setAt(e.id);
                      }}
                      onFocus={() => {
                        setAt(e.id);
                      }}
                      onBlur={() => {
                        setAt(null);
                      }}
                      onClick={choose}
                      onKeyDown={(k) => {
                        if (k.key === 'Enter' || k.key === ' ') {
                          k.preventDefault();
                          k.stopPropagation();
                          choose();
                        }
                      }}
                    >
                      <rect x={-36} y={figure - CLEAR / 2} width={edge + 92} height={CLEAR} fill="transparent" />
                      <rect
                        x={0}
                        y={y(e.mm) - h / 2}
                        width={edge}
                        height={h}
                        fill={FILL[e.knowledge]}
                        stroke={e.knowledge === 'assumed' ? grey.ink : 'none'}
                      />
                      {(e.id === settingId || e.id === equals?.edge.id) && (
                        <rect
                          x={-4}
                          y={y(e.mm) - h / 2 - 4}
                          width={edge + 8}
                          height={h + 8}
                          fill="none"
                          stroke={grey.ink}
                          strokeWidth="2"
                        />
                      )}
                      {near && (
                        <rect
                          x={-4}
                          y={y(e.mm) - h / 2 - 4}
                          width={edge + 8}
                          height={h + 8}
                          fill="none"
                          stroke={grey.ink}
                          strokeDasharray="3 2"
                        />
                      )}
                      <text
                        x={-8}
                        y={figure + 5}
                        textAnchor="end"
                        fontWeight="700"
                        fontSize="16"
                        fill={grey.ink}
                        {...HALO}
                      >
                        {e.label}
                      </text>
                      <text x={edge + 8} y={figure + 4} fill={grey.ink} {...HALO}>
                        {e.knowledge === 'assumed' ? '~' : ''}
                        {show(e.mm).replace(' mm', '').replace(' in', '')}
                      </text>
                    </g>
                  );
                })}
                {plain ? (
                  <text y={HEIGHT + 28} fontSize="15" fontWeight="700" fill={grey.ink}>
                    {rung.name}
                  </text>
                ) : (
                  <g
                    role="button"
                    tabIndex={0}
                    aria-label={`Choose ${rung.name}`}
                    style={{ cursor: 'pointer' }}
                    onClick={() => {
                      onChoose(rung.id, null);
                    }}
                    onKeyDown={(k) => {
                      if (k.key === 'Enter') onChoose(rung.id, null);
                    }}
                  >
                    <text y={HEIGHT + 28} fontSize="15" fontWeight="700" fill={grey.ink}>
                      {rung.name}
                    </text>
                    <text y={HEIGHT + 45} fontSize="12" fill={grey.ink}>
                      {rung.edges[0]?.label} is widest · {showLength(machines[column]?.rollerWidthMm ?? 0, units)} wide
                    </text>
                    {rung.id === chosen && <rect x={0} y={HEIGHT + 50} width={118} height={9} fill={grey.ink} />}
                  </g>
                )}
              </g>
            );
          })}
        </g>
      </svg>
    </div>
  );
}
