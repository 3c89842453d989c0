import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { Fraction, showMass, showNumber, type UnitSystem } from '#core/units';
import type { PlanAnswer } from '#contract';
import { ConditionFirst } from '../../parts/conditioning/ConditionFirst.js';
import { AmountBar } from '../../parts/AmountBar.js';
import { TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';
import { money } from './price/money.js';
import { Caption, Rule, Strip } from '../../theme/pieces.js';

/** g that nobody misses. */
const HARDLY_ANY = 0.05;

const discs = (text: string): string => `${showNumber(new Fraction(text))} discs`;

const discsOf = ({ portions }: PlanAnswer['mixes'][number]): Fraction =>
  portions.reduce((sum, p) => sum.add(new Fraction(p.discs ?? 0)), new Fraction(0));

type Needed = PlanAnswer['clays'][number];

/** Whether the shelf has it, and what is to be bought. */
function onShelf(c: Needed, units: UnitSystem): string {
  if (c.short <= 0) return `enough: ${showMass(c.left, units)} on the shelf`;
  const blocks = `${c.blocksToBuy} ${c.blocksToBuy === 1 ? 'block' : 'blocks'}`;
  const block = `${c.blockAssumed ? '~' : ''}${showMass(c.blockGrams, units)}`;
  return `${showMass(c.left, units)} on the shelf, ${showMass(c.short, units)} short: ${blocks} of ${block}`;
}

/** One clay: how much of it, against the shelf. */
function OneClay({ clay: c, longest }: { readonly clay: Needed; readonly longest: number }): ReactElement {
  const units = useUnits();
  return (
    <li>
      <Flex justifyContent="space-between" alignItems="baseline">
        <b>{c.name}</b>
        <Box fontWeight={600}>
          {showMass(c.grams, units)}
          {c.discs === null ? '' : <Caption> · {discs(c.discs)}</Caption>}
        </Box>
      </Flex>
      <AmountBar grams={c.grams} short={c.short} longest={longest} hex={c.hex} />
      <Caption>{onShelf(c, units)}</Caption>
    </li>
  );
}

/** Where what is made for itself is made. */
const MADE_AT: Readonly<Partial<Record<string, string>>> = { pattern: 'Patterns', blend: 'Blends', cane: 'Canes' };

/** Whether enough of it lies there. */
function lyingThere({ of, there, short }: PlanAnswer['ready'][number], units: UnitSystem): string {
  const station = MADE_AT[of.kind];
  if (station !== undefined)
    return there > HARDLY_ANY ? `${showMass(there, units)} of it there: take it` : `to be made at ${station}`;
  const where = of.kind === 'scrap' ? 'in its tub' : 'of it there';
  if (short <= HARDLY_ANY) return `enough: ${showMass(there, units)} ${where}`;
  return `${showMass(there, units)} ${where}, ${showMass(short, units)} short`;
}

/** Things that lie there and go in, and scrap. */
function ReadyNeeded({ plan, longest }: { readonly plan: PlanAnswer; readonly longest: number }): ReactElement | null {
  const units = useUnits();
  if (plan.ready.length === 0) return null;
  return (
    <Flex as="ul" direction="column" gap={3} aria-label="Taken of what lies there">
      {plan.ready.map((r) => (
        <li key={r.of.id}>
          <Flex justifyContent="space-between" alignItems="baseline">
            <b>{r.name}</b>
            <Box fontWeight={600}>{showMass(r.grams, units)}</Box>
          </Flex>
          <AmountBar
            grams={r.grams}
            short={r.short}
            longest={longest}
            hex={plan.materials[r.of.id]?.hex ?? UNKNOWN_HEX}
          />
          <Caption>{lyingThere(r, units)}</Caption>
        </li>
      ))}
    </Flex>
  );
}

/** Pins, rings and wires, against what is there. */
function FindingsNeeded({ findings }: Pick<PlanAnswer, 'findings'>): ReactElement | null {
  if (findings.length === 0) return null;
  return (
    <Flex as="ul" direction="column" gap={1} aria-label="Findings needed">
      {findings.map((f) => (
        <Box as="li" key={f.id}>
          <Flex justifyContent="space-between">
            <b>{f.name}</b>
            <Box fontWeight={600}>{f.count}</Box>
          </Flex>
          {f.short > 0 ? (
            <Warning>
              {f.there} there, {f.short} short
            </Warning>
          ) : (
            <Caption>{f.there} there</Caption>
          )}
        </Box>
      ))}
    </Flex>
  );
}

/** What one of each kind costs, where there are hours and findings to it. */
function OneCosts({
  plan,
  currency,
  names,
}: Pick<ClayNeededProps, 'plan' | 'currency' | 'names'>): ReactElement | null {
  const known = plan.costs.filter((c) => c.total !== null);
  if (known.length === 0) return null;
  return (
    <Box as="ul" aria-label="What one costs">
      {known.map((c) => (
        <li key={c.id}>
          One {names.get(c.id) ?? 'piece'} costs <b>{money(c.total)}</b> {currency}
        </li>
      ))}
    </Box>
  );
}

/** The mixes to make first, in their order. */
function Mixes({ mixes }: { readonly mixes: PlanAnswer['mixes'] }): ReactElement | null {
  const units = useUnits();
  if (mixes.length === 0) return null;
  return (
    <div>
      <Box as="h3" marginBottom={1}>
        Mixes, in this order
      </Box>
      <Flex as="ul" direction="column" gap={1} aria-label="Mixes to make">
        {mixes.map((m) => (
          <Flex as="li" key={m.name} gap={2} alignItems="center" fontSize="small">
            <Box width="22px" height="22px" borderRadius="4px" flex="none" style={{ background: `#${m.baked.hex}` }} />
            <Box flex={1} minWidth={0}>
              {m.name}
            </Box>
            <Box whiteSpace="nowrap">
              {showMass(m.made, units)}
              {m.portions[0]?.discs ? `, ${showNumber(discsOf(m))} discs` : ''}
            </Box>
          </Flex>
        ))}
      </Flex>
    </div>
  );
}

/** What it costs, and what is to be bought. */
function Cost({ plan, currency, onCurrency }: Omit<ClayNeededProps, 'children'>): ReactElement {
  const short = plan.clays.filter((c) => c.short > 0);
  const missing = plan.ready.filter((r) => r.short > HARDLY_ANY && MADE_AT[r.of.kind] === undefined);
  const unmade = plan.ready.filter((r) => MADE_AT[r.of.kind] !== undefined);
  return (
    <Box>
      {plan.usedCost === null ? (
        <Caption>Cost not known: a block without a price is used.</Caption>
      ) : (
        <>
          The clay costs <b>{money(plan.usedCost)}</b>
        </>
      )}
      {plan.usedCost !== null && (
        <>
          {' '}
          <TextValue label="Currency" value={currency} placeholder="money" onChange={onCurrency} />
        </>
      )}
      {short.length > 0 && (
        <Box>
          To buy: <b>{short.map((c) => `${c.blocksToBuy} ${c.name}`).join(', ')}</b>
          {plan.buyCost === null ? '' : `, ${money(plan.buyCost)} ${currency}`}
        </Box>
      )}
      {missing.length > 0 && (
        <Box>
          Too little lies there: <b>{missing.map((r) => r.name).join(', ')}</b>. Take another clay for the rest.
        </Box>
      )}
      {unmade.length > 0 && (
        <Box>
          To be made first: <b>{unmade.map((r) => r.name).join(', ')}</b>.
        </Box>
      )}
      {short.length === 0 && missing.length === 0 && unmade.length === 0 && (
        <Box>
          <b>All of it is {plan.ready.length > 0 ? 'there' : 'on the shelf'}.</b>
        </Box>
      )}
    </Box>
  );
}

/** What does not end in the pieces: off-cuts, and with what is shaped by hand what stays on hands and tools. */
const lostWords = ({ lumps }: Pick<PlanAnswer, 'lumps'>): string =>
  lumps.length === 0 ? 'between the cuts' : 'scrap and what stays on the hands';

interface ClayNeededProps {
  readonly plan: PlanAnswer;
  readonly currency: string;
  /** what each kind of piece is called */
  readonly names: ReadonlyMap<string, string>;
  readonly onCurrency: (currency: string) => void;
  readonly children: ReactNode;
}

/** How much of which mix and which clay, against the shelf, and what it costs. */
export function ClayNeeded({ children, ...own }: ClayNeededProps): ReactElement {
  const units = useUnits();
  const { plan } = own;
  const longest = Math.max(0, ...[...plan.clays, ...plan.ready].map((c) => c.grams));
  if (plan.clays.length === 0 && plan.ready.length === 0) return <Strip aria-label="Clay needed">{children}</Strip>;
  return (
    <Strip aria-label="Clay needed">
      <div>
        <h2>Clay needed</h2>
        <Caption>
          {showMass(plan.totalGrams, units)} in all, {showMass(plan.scrapGrams, units)} of it {lostWords(plan)}
        </Caption>
      </div>
      <Flex as="ul" direction="column" gap={3} aria-label="Clay needed">
        {plan.clays.map((c) => (
          <OneClay key={c.clayId} clay={c} longest={longest} />
        ))}
      </Flex>
      <ConditionFirst clays={plan.clays} />
      <ReadyNeeded plan={plan} longest={longest} />
      <FindingsNeeded findings={plan.findings} />
      <Rule />
      <Mixes mixes={plan.mixes.filter((m) => m.of.kind === 'mix')} />
      <Cost {...own} />
      <OneCosts {...own} />
      {children}
    </Strip>
  );
}
