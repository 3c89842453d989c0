import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { CarryAnswer } from '#contract';

export const KINDS = {
  ...{ mix: 'mix', blend: 'blend', cane: 'cane', pattern: 'patterned sheet', batch: 'batch', palette: 'palette' },
  mosaic: 'mosaic',
  pieceModel: 'piece',
} as const;

/** Things that are named one by one; of more only how many there are, and what is called otherwise. */
const NAMED = 24;
type Things = CarryAnswer['things'];

const PLURALS = {
  ...{ mix: 'mixes', blend: 'blends', cane: 'canes', pattern: 'patterned sheets', batch: 'batches' },
  palette: 'palettes',
  mosaic: 'mosaics',
  pieceModel: 'pieces',
} as const;

/** `25 mixes, 1 cane`: how many of each kind. */
export function countsWords(things: Things): string {
  const kinds = Object.keys(KINDS) as (keyof typeof KINDS)[];
  return kinds
    .map((kind) => ({ kind, count: things.filter((t) => t.kind === kind).length }))
    .filter(({ count }) => count > 0)
    .map(({ kind, count }) => `${count.toLocaleString('en')} ${count === 1 ? KINDS[kind] : PLURALS[kind]}`)
    .join(', ');
}

/** What comes, by name; what is called otherwise from then on is said. */
export function ComingThings({ things }: { readonly things: Things }): ReactElement | null {
  if (things.length === 0) return null;
  const many = things.length > NAMED;
  const named = many ? things.filter(({ name, as }) => as !== name) : things;
  return (
    <Box as="ul" aria-label="What comes" marginBottom={2}>
      {many && <li>{countsWords(things)}</li>}
      {named.slice(0, NAMED).map(({ kind, name, as }) => (
        <li key={`${kind} ${as}`}>
          the {KINDS[kind]} <b>{name}</b>
          {as === name ? '' : `, as “${as}”: what is called ${name} here is another one`}
        </li>
      ))}
      {named.length > NAMED && <li>and {(named.length - NAMED).toLocaleString('en')} more under other names</li>}
    </Box>
  );
}
