import { Box, chakra } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { StartColours } from '#core/cane';
import type { PatternPoint, PatternStep } from '#core/pattern';
import type { PatternAnswer, PatternCard, ShelfAnswer } from '#contract';
import { Caption } from '../../../theme/pieces.js';
import { usePatternOf } from '../../../wire/queries.js';
import { usePattern } from '../usePattern.js';
import { PatternFace } from './PatternFace.js';

const SIZE = 148;
/** px of a card */
export const CARD_WIDTH = 168;
const Pick = chakra('button', {
  base: { textAlign: 'left', display: 'block', width: `${CARD_WIDTH}px`, _hover: { background: 'paper' } },
});
/** As honest hands make it. */
const HONEST = { seed: 1, wobble: 1 };

/** What comes of a patterned sheet that is planned. */
export function PatternCardFace({
  card,
  shelf,
  pictured,
}: {
  readonly card: PatternCard;
  readonly shelf: ShelfAnswer;
  /** whether the face is drawn */
  readonly pictured: boolean;
}): ReactElement {
  const pattern = usePatternOf(pictured ? card.id : undefined);
  return (
    <Link to={`/patterns/${card.id}`} style={{ textDecoration: 'none', display: 'block', width: CARD_WIDTH }}>
      <Box height={`${SIZE}px`}>
        {pattern.data && (
          <Last pattern={pattern.data} steps={pattern.data.program.steps} name={card.name} shelf={shelf} />
        )}
      </Box>
      <Box fontWeight={600} lineHeight={1.25} marginTop={2}>
        {card.name}
      </Box>
      <Caption>{card.steps} steps</Caption>
    </Link>
  );
}

interface LastProps {
  readonly pattern: Pick<PatternAnswer, 'canes' | 'blends' | 'referenced'>;
  readonly steps: readonly PatternStep[];
  readonly name: string;
  readonly shelf: ShelfAnswer;
}

/** The face after the last step that can be done. */
function Last({ pattern, steps, name, shelf }: LastProps): ReactElement {
  const { plain, bodies, paints } = usePattern(pattern, steps, shelf, HONEST);
  const at = Math.max(0, bodies?.findLastIndex((b) => b.there) ?? 0);
  return (
    <PatternFace
      pattern={plain}
      at={at}
      body={bodies?.[at] ?? null}
      size={SIZE}
      paints={paints}
      label={`Face of ${name}`}
    />
  );
}

const NOTHING = { canes: [], blends: [], referenced: [] };

interface StartProps {
  readonly point: PatternPoint;
  readonly colours: StartColours;
  readonly shelf: ShelfAnswer;
  readonly onBegin: () => void;
}

/** A starting point in somebody's own colours. */
export function StartSheet({ point, colours, shelf, onBegin }: StartProps): ReactElement {
  const colourKey = JSON.stringify(colours);
  const steps = useMemo(() => point.steps(JSON.parse(colourKey) as StartColours), [point, colourKey]);
  return (
    <Pick onClick={onBegin} aria-label={`Begin with ${point.name}`}>
      <Box height={`${SIZE}px`} overflow="hidden">
        <Last pattern={NOTHING} steps={steps} name={point.name} shelf={shelf} />
      </Box>
      <Box fontWeight={600} lineHeight={1.25} marginTop={2}>
        {point.name}
      </Box>
      <Caption>{point.words}</Caption>
    </Pick>
  );
}
