import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showLength, type UnitSystem } from '#core/units';
import type { DiaryAnswer } from '#contract';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { stopWords } from '../patterns/stageWords.js';
import { SheetImage } from '../patterns/faces/SheetImage.js';

type Pattern = DiaryAnswer['patterns'][number];

/** px of a photograph, and of the plan beside it. */
const PHOTOGRAPH = 150;

/** How it was liked, and where one stopped, in words. */
function patternWords({ stops, liked }: Pattern, units: UnitSystem): string {
  const counted = stops.map(({ kind, times, veinMm }) => {
    const veins = veinMm > 0 ? `, veins about ${showLength(veinMm, units, veinMm < 1)}` : '';
    return `stopped at ${times} ${stopWords(kind)}${veins}`;
  });
  return [...counted, ...(liked === null ? [] : [`liked: ${liked}`])].join(' · ');
}

/** A patterned sheet that was made: as it was planned, as it came out, and where one stopped. */
export function OnePattern({ pattern: p }: { readonly pattern: Pattern }): ReactElement {
  const units = useUnits();
  const planned = { revisionId: p.revisionId, sheet: 0, hands: p.hands };
  return (
    <Flex gap={4} alignItems="flex-end">
      <Box>
        <svg width={PHOTOGRAPH} height={PHOTOGRAPH} role="img" aria-label={`${p.name} as it was planned`}>
          <SheetImage of={planned} width={PHOTOGRAPH} height={PHOTOGRAPH} ownShape />
        </svg>
        {p.pictureId !== null && <Caption display="block">as planned</Caption>}
      </Box>
      {p.pictureId !== null && (
        <img
          src={`/api/pictures/${p.pictureId}`}
          alt="The sheet as it came out"
          style={{ width: PHOTOGRAPH, height: PHOTOGRAPH, objectFit: 'cover' }}
        />
      )}
      <Box>
        <Link to={`/patterns/${p.patternId}`}>
          <b>{p.name}</b>
        </Link>{' '}
        <Caption>revision {p.number}</Caption>
        <br />
        {patternWords(p, units)}
      </Box>
    </Flex>
  );
}
