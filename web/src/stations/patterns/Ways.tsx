import { Box, Flex, chakra } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import { useBodies, useJudgedPattern, type PlainPattern } from '../../workers/pattern.js';
import { PatternFace } from './faces/PatternFace.js';
import { otherWays } from './otherWays.js';
import type { BenchPattern, Hands } from './usePattern.js';

const SIZE = 110;
const Pick = chakra('button', { base: { textAlign: 'left', display: 'block', width: '124px' } });
const SIX = [1, 2, 3, 4, 5, 6];

interface OneProps {
  readonly plain: PlainPattern;
  readonly bench: BenchPattern;
  readonly words: string;
  readonly judged?: boolean;
}

/** What comes of one way. */
function One({ plain, bench, words, judged = false }: OneProps): ReactElement {
  const units = useUnits();
  const bodies = useBodies(plain);
  const looked = useJudgedPattern(judged ? plain : null, bench.colours);
  const at = Math.max(0, bodies?.findLastIndex((b) => b.there) ?? 0);
  return (
    <>
      <Box height={`${SIZE}px`} overflow="hidden">
        <PatternFace
          pattern={plain}
          at={at}
          body={bodies?.[at] ?? null}
          size={SIZE}
          paints={bench.paints}
          label={words}
        />
      </Box>
      <Box fontSize="small" lineHeight={1.25} marginTop={1}>
        {words}
      </Box>
      {looked && Number.isFinite(looked.vein) && (
        <Caption>veins {showLength(looked.vein, units, looked.vein < 1)}</Caption>
      )}
    </>
  );
}

interface WaysProps {
  readonly bench: BenchPattern;
  readonly hands: Hands;
  readonly onHands: (hands: Hands) => void;
}

/** The same clays by other ways, and the same plan by six pairs of hands. */
export function Ways({ bench, hands, onHands }: WaysProps): ReactElement {
  const [shown, setShown] = useState(false);
  const { plain } = bench;
  const ways = useMemo(() => otherWays(plain.steps), [plain.steps]);
  if (!shown)
    return (
      <Box borderTop="rule" paddingTop={3}>
        <Word
          onClick={() => {
            setShown(true);
          }}
        >
          Other ways with the same clay, and six pairs of hands
        </Word>
      </Box>
    );
  return (
    <Box borderTop="rule" paddingTop={3}>
      {ways.length > 0 && (
        <>
          <h2>Other ways with the same clay</h2>
          <Flex as="ul" gap={4} marginTop={2} wrap="wrap" aria-label="Other ways">
            {ways.map((way) => (
              <Box as="li" key={way.name} width="124px">
                <One plain={{ ...plain, steps: way.steps }} bench={bench} words={way.name} judged />
              </Box>
            ))}
          </Flex>
        </>
      )}
      <Box as="h2" marginTop={4}>
        Six pairs of hands
      </Box>
      <Flex as="ul" gap={4} marginTop={2} wrap="wrap" aria-label="Hands">
        {SIX.map((seed) => (
          <li key={seed}>
            <Pick
              aria-pressed={hands.wobble > 0 && hands.seed === seed}
              onClick={() => {
                onHands({ seed, wobble: 1 });
              }}
            >
              <One plain={{ ...plain, seed, wobble: 1 }} bench={bench} words={`hands ${seed}`} />
            </Pick>
          </li>
        ))}
      </Flex>
    </Box>
  );
}
