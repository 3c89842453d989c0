import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showCutter } from '#core/cutter';
import type { DiaryAnswer } from '#contract/diary';
import { readCount } from '../../parts/readCount.js';
import { Value } from '../../parts/Value.js';
import { showDate } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { NARROW } from '../../theme/narrow.js';
import { Second } from '../../theme/pieces.js';
import { saveEntry } from './saveEntry.js';
import { MadePieces } from './MadePieces.js';

/** What has a plan can be made again. */
const canBeAgain = ({ batchId, canes, patterns, blends }: DiaryAnswer): boolean =>
  batchId !== null || canes.length + patterns.length + blends.length > 0;

/** Pieces break at once or weeks later: how many, to be said at any time. */
function WhatBroke({ entry }: { readonly entry: DiaryAnswer }): ReactElement | null {
  if (entry.pieces.length === 0) return null;
  return (
    <Flex columnGap={5} wrap="wrap" marginTop={1} fontSize="small">
      {entry.pieces.map(({ id, name, count, broken }) => (
        <span key={id}>
          broke:{' '}
          <Value
            label={`Broken of ${name}`}
            text={broken === null ? 'not counted' : String(broken)}
            read={readCount(0, count, 'The number of broken pieces')}
            onChange={(next) => {
              saveEntry(entry, { broken: [{ id, count: next }] });
            }}
          />{' '}
          of {count} {name}
        </span>
      ))}
    </Flex>
  );
}

/** When, what, and from which plan. */
export function EntryHead({ entry }: { readonly entry: DiaryAnswer }): ReactElement {
  const units = useUnits();
  return (
    <div>
      <Box display="none" css={{ [NARROW]: { display: 'block', marginBottom: 2 } }}>
        <Link to="/diary">all of the diary</Link>
      </Box>
      <Second>{showDate(entry.madeOn)}</Second>
      <h1>{entry.title}</h1>
      <Box marginTop={2}>
        {entry.pieces.map((p) => `${p.count} ${p.name} (${showCutter(p.cutter, units)})`).join(', ')}
        {entry.batchId !== null && (
          <>
            {' '}
            · <Link to={`/batches/${entry.batchId}`}>the plan</Link>
          </>
        )}
      </Box>
      <Flex marginTop={2} gap={4}>
        {canBeAgain(entry) && <Link to={`/diary/${entry.id}/again`}>make it again</Link>}
        <Link to={`/diary/${entry.id}/card`}>its card, from the blocks on</Link>
      </Flex>
      <WhatBroke entry={entry} />
      <MadePieces entry={entry} />
    </div>
  );
}
