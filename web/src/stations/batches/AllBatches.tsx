import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showMass, type UnitSystem } from '#core/units';
import type { BatchAnswer, BatchCard } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { showDate } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second } from '../../theme/pieces.js';
import { useBatch } from '../../wire/queries.js';

/** The batches in the order of their dates, each with what it still lacks, where none is chosen. */
export function AllBatches({ waiting }: { readonly waiting: readonly BatchCard[] }): ReactElement {
  return (
    <Flex direction="column" padding={5} overflowY="auto" tabIndex={0} role="region" aria-label="All batches">
      <Flex alignItems="baseline" gap={3} marginBottom={3}>
        <h1>{waiting.length === 0 ? 'All batches are done' : 'What is to be made'}</h1>
        {waiting.length > 0 && <Second>in the order of its dates, with what it still lacks</Second>}
      </Flex>
      {waiting.map((b) => (
        <OneBatch key={b.id} card={b} />
      ))}
    </Flex>
  );
}

/** Sentences of what a batch lacks before it can be begun. */
function lacking({ plan, pieces, assemblies }: BatchAnswer, units: UnitSystem): string[] {
  if (pieces.length + assemblies.length === 0) return ['no piece is planned yet'];
  const own = new Set(pieces.map((p) => p.id));
  // cut parts of assembled pieces are told with their piece
  const all = [...plan.pieces.filter((p) => own.has(p.id)), ...plan.assemblies];
  const wrong = all.flatMap((p) => (p.wrong === null ? [] : [p.wrong]));
  const missing = plan.findings.filter((f) => f.short > 0).map((f) => `${f.name}: ${f.short} short`);
  const short = plan.clays
    .filter((c) => c.short > 0)
    .map(
      (c) =>
        `${c.name}: ${showMass(c.short, units)} short, ` +
        `${c.blocksToBuy === 1 ? 'one block' : `${c.blocksToBuy} blocks`} to buy`,
    );
  return [...wrong, ...short, ...missing];
}

function OneBatch({ card }: { readonly card: BatchCard }): ReactElement {
  const units = useUnits();
  const batch = useBatch(card.id);
  const lacks = batch.data ? lacking(batch.data, units) : null;
  const hexes = batch.data?.plan.clays.map((c) => ({ hex: c.hex, grams: c.grams })) ?? [];
  const most = hexes.reduce((sum, h) => sum + h.grams, 0) || 1;
  return (
    <Grid templateColumns="148px minmax(0, 1fr) 220px" gap={5} borderTop="rule" paddingY={4} alignItems="start">
      <Box fontFamily="heading" fontWeight={700} fontSize="h2">
        {card.dueOn === null ? <Second>no date</Second> : showDate(card.dueOn)}
      </Box>
      <Box minWidth={0}>
        <Box fontFamily="heading" fontWeight={700} fontSize="h2">
          <Link to={`/batches/${card.id}`}>{card.name}</Link>
        </Box>
        <Caption display="block">
          {card.pieces} {card.pieces === 1 ? 'piece' : 'pieces'}
          {card.kinds > 1 ? ` of ${card.kinds} kinds` : ''}
        </Caption>
        {lacks === null && <Caption>…</Caption>}
        {lacks?.length === 0 && (
          <Box marginTop={1}>
            all clay is on the shelf · <Link to={`/bench/${card.id}`}>to the bench</Link>
          </Box>
        )}
        {lacks?.map((words) => (
          <Warning key={words}>{words}</Warning>
        ))}
      </Box>
      <Box>
        <Flex height="46px" aria-hidden>
          {hexes.map((h, i) => (
            <Box key={i} style={{ width: `${(100 * h.grams) / most}%`, background: `#${h.hex}` }} />
          ))}
        </Flex>
        {batch.data && <Caption>{showMass(batch.data.plan.totalGrams, units)} of clay</Caption>}
      </Box>
    </Grid>
  );
}
