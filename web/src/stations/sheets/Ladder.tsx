import type { ReactElement } from 'react';
import { thicknesses, type Knowledge } from '#core/sheet';
import { MM_PER_INCH, showLength } from '#core/units';
import type { MachineDto } from '#contract';
import { useUnits } from '../../state/view.js';

const FILL: Readonly<Record<Knowledge, string>> = { measured: '#141414', interpolated: '#5e5e5e', assumed: 'url(#assumed)' };
const [LEFT, TOP, EDGE] = [64, 26, 140];
/** Room for one machine: wider where there are few. */
const columnFor = (machines: number): number => (machines < 3 ? 340 : 250);
const HEIGHT = 560;
/** Nearer than this two figures would lie over each other. */
const CLEAR = 17;

/** Keeps figures readable where a line runs behind them. */
const HALO = { stroke: '#c9c9c9', strokeWidth: 5, paintOrder: 'stroke' } as const;

interface LadderProps {
  readonly machines: readonly MachineDto[];
  readonly chosen: string | undefined;
  readonly settingId: string | null;
  /** mm somebody asked for */
  readonly pointed: number | null;
  readonly onChoose: (machineId: string, settingId: string | null) => void;
}

/** Moves figures apart where edges lie close; each keeps as near to its edge as it can. */
function spread(ys: readonly number[]): number[] {
  const out: number[] = [];
  for (const y of ys) out.push(Math.max(y, (out.at(-1) ?? -Infinity) + CLEAR));
  const over = (out.at(-1) ?? 0) - HEIGHT;
  return over <= 0 ? out : out.map((y, i) => Math.min(y, HEIGHT - (out.length - 1 - i) * CLEAR));
}

/** The edges of the sheets of every machine against one scale: equal thicknesses stand side by side. */
export function Ladder({ machines, chosen, settingId, pointed, onChoose }: LadderProps): ReactElement {
  const units = useUnits();
  const all = machines.map((machine) => ({ machine, settings: thicknesses(machine) }));
  const widest = Math.max(1, pointed ?? 0, ...all.flatMap((m) => m.settings.map((s) => s.mm)));
  const step = units === 'metric' ? 0.5 : MM_PER_INCH / 32;
  const top = Math.ceil((widest * 1.04) / step) * step;
  const scale = HEIGHT / top;
  const y = (mm: number): number => HEIGHT - mm * scale;
  const columnWidth = columnFor(all.length);
  const width = LEFT + columnWidth * all.length;
  const ticks = Array.from({ length: Math.round(top / step) + 1 }, (_, i) => i);
  const tickWords = (i: number): string => (units === 'metric' ? `${+(i * step).toFixed(1)} mm` : `${i}/32 in`);
  return (
    <svg width={width} height={HEIGHT + TOP + 68} role="group" aria-label="Thickness ladder" style={{ flex: 'none', maxWidth: 'none' }}>
      <g transform={`translate(0 ${TOP})`} fontSize="13">
        {ticks.map((i) => (
          <g key={i}><path d={`M${LEFT} ${y(i * step)}H${width}`} stroke="#a9a9a9" /><text x={LEFT - 10} y={y(i * step) + 4} textAnchor="end" fill="#141414">{tickWords(i)}</text></g>
        ))}
        {pointed !== null && <path d={`M${LEFT} ${y(pointed)}H${width}`} stroke="#141414" strokeWidth="2" strokeDasharray="2 4" />}
        {all.map(({ machine, settings }, column) => {
          const x = LEFT + column * columnWidth + 46;
          const figures = spread(settings.map((s) => y(s.mm)));
          return (
            <g key={machine.id} transform={`translate(${x} 0)`}>
              {settings.map((s, i) => {
                const h = Math.max(3, s.mm * scale * 0.075);
                const at = figures[i] ?? 0;
                return (
                  <g key={s.id} role="button" tabIndex={0} aria-label={`Setting ${s.label} of ${machine.name}, ${showLength(s.mm, units, true)}, ${s.knowledge}`} style={{ cursor: 'pointer' }}
                    onClick={() => { onChoose(machine.id, s.id); }}
                    onKeyDown={(e) => { if (e.key === 'Enter' || e.key === ' ') { e.preventDefault(); e.stopPropagation(); onChoose(machine.id, s.id); } }}>
                    <rect x={-42} y={at - CLEAR / 2} width={EDGE + 110} height={CLEAR} fill="transparent" />
                    <rect x={0} y={y(s.mm) - h / 2} width={EDGE} height={h} fill={FILL[s.knowledge]} stroke={s.knowledge === 'assumed' ? '#141414' : 'none'} />
                    {s.id === settingId && <rect x={-4} y={y(s.mm) - h / 2 - 4} width={EDGE + 8} height={h + 8} fill="none" stroke="#141414" strokeWidth="2" />}
                    <text x={-12} y={at + 5} textAnchor="end" fontWeight="700" fontSize="16" fill="#141414" {...HALO}>{s.label}</text>
                    <text x={EDGE + 10} y={at + 4} fill="#141414" {...HALO}>{s.knowledge === 'assumed' ? '~' : ''}{showLength(s.mm, units, true).replace(' mm', '')}</text>
                  </g>
                );
              })}
              <g role="button" tabIndex={0} aria-label={`Choose ${machine.name}`} style={{ cursor: 'pointer' }} onClick={() => { onChoose(machine.id, null); }}
                onKeyDown={(e) => { if (e.key === 'Enter') onChoose(machine.id, null); }}>
                <text y={HEIGHT + 30} fontSize="15" fontWeight="700" fill="#141414">{machine.name}</text>
                <text y={HEIGHT + 47} fontSize="12" fill="#141414">{settings[0]?.label} is widest · {showLength(machine.rollerWidthMm, units)} wide</text>
                {machine.id === chosen && <rect x={0} y={HEIGHT + 54} width={EDGE} height={9} fill="#141414" />}
              </g>
            </g>
          );
        })}
      </g>
    </svg>
  );
}
