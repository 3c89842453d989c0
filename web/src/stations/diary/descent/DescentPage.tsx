import type { ReactElement } from 'react';
import { showCutter } from '#core/cutter';
import { showLength, showMass, showTemperature, type UnitSystem } from '#core/units';
import type { BakeTold, DescentAnswer, DiaryAnswer } from '#contract/diary';
import { outcomeText } from '../../../parts/HowItWent.js';
import { swatch } from '../../../parts/swatch.js';
import { showDate } from '../../../state/today.js';
import { grey } from '../../../theme/grey.js';
import { bakedWords } from '../OneBake.js';

type Made = DescentAnswer['made'][number];

/** How a page looks that stands alone: in the application, on paper, and in a file without Sledge. */
export const PAGE_STYLE = `
.descent { color: ${grey.ink}; background: ${grey.tile}; max-width: 780px; line-height: 1.5; padding: 24px 28px; }
.descent h1 { font-size: 30px; line-height: 1.2; margin: 0 0 4px; }
.descent h2 { font-size: 18px; margin: 22px 0 6px; border-top: 1px solid ${grey.ink}; padding-top: 10px; }
.descent ul { list-style: none; margin: 4px 0; padding: 0; }
.descent li { margin: 3px 0; }
.descent small { color: ${grey.ink2}; font-size: 13px; }
.descent .colour { display: inline-block; width: 34px; height: 22px; margin-right: 8px; vertical-align: middle;
  border: 1px solid ${grey.hairline}; print-color-adjust: exact; -webkit-print-color-adjust: exact; }
.descent .photographs { display: flex; flex-wrap: wrap; gap: 10px; margin: 12px 0; }
.descent .photographs img { max-height: 300px; max-width: 100%; display: block; }
.descent section { break-inside: avoid; }
@media print { .descent { padding: 0; max-width: none; } }
`;

interface PageProps {
  readonly descent: DescentAnswer;
  readonly units: UnitSystem;
  /** where the bytes of a photograph are */
  readonly sourceOf: (pictureId: string) => string;
}

function Colour({ hexes }: { readonly hexes: readonly string[] }): ReactElement {
  return <span className="colour" style={{ background: swatch(hexes) }} aria-hidden />;
}

const piecesWords = ({ pieces }: DiaryAnswer, units: UnitSystem): string =>
  pieces.map(({ count, name, cutter }) => `${count} ${name} (${showCutter(cutter, units)})`).join(', ');

/** Clays off the shelf, with their lines. */
function Clays({ made, units }: { readonly made: Made; readonly units: UnitSystem }): ReactElement | null {
  if (made.entry.clays.length === 0) return null;
  return (
    <ul aria-label="Clay off the shelf">
      <li>
        <small>off the shelf for it:</small>
      </li>
      {made.entry.clays.map(({ clayId, name, hex, grams }) => (
        <li key={clayId}>
          <Colour hexes={[hex]} />
          {showMass(grams, units)} {name} <small>{made.lines[clayId]}</small>
        </li>
      ))}
    </ul>
  );
}

/** Mixes, blends, canes and patterned sheets, by their revisions. */
function Plans({ entry, units }: { readonly entry: DiaryAnswer; readonly units: UnitSystem }): ReactElement {
  return (
    <>
      {entry.mixes.map((m) => (
        <li key={m.revisionId}>
          <Colour hexes={[m.hex]} />
          {showMass(m.grams, units)} {m.name} <small>{`${m.notation}, revision ${m.number}`}</small>
        </li>
      ))}
      {entry.blends.map((b) => (
        <li key={b.blendId}>
          <Colour hexes={b.hexes} />
          {b.name} <small>{`revision ${b.number}, free of streaks after ${b.passes} passes`}</small>
        </li>
      ))}
      {entry.canes.map((c) => (
        <li key={c.caneId}>
          {c.name}{' '}
          <small>
            {`revision ${c.number}, ${showLength(c.diameterMm, units)} across, ${showLength(c.lengthMm, units)} long`}
          </small>
        </li>
      ))}
      {entry.patterns.map((p) => (
        <li key={p.patternId}>
          {p.name} <small>revision {p.number}</small>
        </li>
      ))}
    </>
  );
}

/** px of a curve, and the °C it begins and ends with. */
const [WIDE, HIGH, COLD, HOT] = [360, 90, 20, 180];

/** How warm it was, with the band it was meant to be in. */
function Curve({ bake }: { readonly bake: BakeTold }): ReactElement | null {
  const last = bake.curve.at(-1)?.[0] ?? 0;
  if (last <= 0) return null;
  const y = (celsius: number): number => HIGH - (HIGH * (Math.min(HOT, Math.max(COLD, celsius)) - COLD)) / (HOT - COLD);
  const points = bake.curve.map(([at, celsius]) => `${((WIDE * at) / last).toFixed(1)},${y(celsius).toFixed(1)}`);
  return (
    <svg width={WIDE} height={HIGH} role="img" aria-label="How warm it was" style={{ display: 'block' }}>
      <rect x={0} width={WIDE} y={y(bake.high)} height={Math.max(1, y(bake.low) - y(bake.high))} fill={grey.pale} />
      <polyline points={points.join(' ')} fill="none" stroke={grey.ink} strokeWidth={2} />
    </svg>
  );
}

function Bakes({ entry, units }: { readonly entry: DiaryAnswer; readonly units: UnitSystem }): ReactElement | null {
  if (entry.bakes.length === 0) return null;
  return (
    <section>
      <h2>Baked</h2>
      {entry.bakes.map((bake, i) => (
        <div key={i}>
          {bake.ovenName}
          {bake.dial === null ? '' : `, its dial at ${showTemperature(bake.dial, units)}`}. {bakedWords(bake, units)}
          <Curve bake={bake} />
        </div>
      ))}
    </section>
  );
}

function Pictures({ entry, sourceOf }: { readonly entry: DiaryAnswer } & Pick<PageProps, 'sourceOf'>) {
  // what cannot be read is left out of a page that is kept
  const there = entry.pictures.filter(({ id }) => sourceOf(id) !== '');
  if (there.length === 0) return null;
  return (
    <div className="photographs">
      {there.map(({ id }) => (
        <img key={id} src={sourceOf(id)} alt={entry.title} />
      ))}
    </div>
  );
}

const wentWords = (went: Made['went'], units: UnitSystem): string =>
  went.map(({ name, grams }) => `${showMass(grams, units)} of ${name}`).join(', ');

/** Things that went into an entry, with the day each was made. */
function Things({ into, descent, units }: Omit<PageProps, 'sourceOf'> & { readonly into: string }): ReactElement {
  const all = descent.made.map(({ entry, went }) => ({ entry, went: went.filter((one) => one.into === into) }));
  return (
    <>
      {all
        .filter(({ went }) => went.length > 0)
        .map(({ entry, went }) => (
          <li key={entry.id}>
            {wentWords(went, units)} <small>made on {showDate(entry.madeOn)}, see below</small>
          </li>
        ))}
    </>
  );
}

/** One making further back: when, what of it went on, and what it was made of. */
function Before({ made, ...props }: PageProps & { readonly made: Made }): ReactElement {
  const { entry } = made;
  return (
    <section aria-label={entry.title}>
      <h2>{entry.title}</h2>
      <small>
        made on {showDate(entry.madeOn)}; of it went on: {wentWords(made.went, props.units)}
      </small>
      <ul>
        <Plans entry={entry} units={props.units} />
        <Things into={entry.id} descent={props.descent} units={props.units} />
      </ul>
      <Clays made={made} units={props.units} />
      {entry.note !== '' && <p>{entry.note}</p>}
      <Pictures entry={entry} sourceOf={props.sourceOf} />
    </section>
  );
}

/** A finished piece with its whole descent, from blocks to bake. */
export function DescentPage({ descent, ...props }: PageProps): ReactElement {
  const [made, ...before] = descent.made;
  if (!made) return <div className="descent" />;
  const { entry } = made;
  const { units, sourceOf } = props;
  return (
    <div className="descent">
      <style>{PAGE_STYLE}</style>
      <small>
        {showDate(entry.madeOn)}
        {entry.outcome === null ? '' : ` · ${outcomeText(entry.outcome)}`}
      </small>
      <h1>{entry.title}</h1>
      {piecesWords(entry, units)}
      {entry.findings.length > 0 && (
        <div>with {entry.findings.map(({ name, count }) => `${count} ${name}`).join(', ')}</div>
      )}
      <Pictures entry={entry} sourceOf={sourceOf} />
      {entry.note !== '' && <p>{entry.note}</p>}
      <section aria-label="What it is made of">
        <h2>What it is made of</h2>
        <ul>
          <Plans entry={entry} units={units} />
          <Things into={entry.id} descent={descent} units={units} />
        </ul>
        <Clays made={made} units={units} />
      </section>
      {before.map((one) => (
        <Before key={one.entry.id} made={one} descent={descent} {...props} />
      ))}
      <Bakes entry={entry} units={units} />
    </div>
  );
}
