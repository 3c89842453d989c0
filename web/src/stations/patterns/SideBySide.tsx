import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { showLength, showMass, showSize } from '#core/units';
import { useBeside, type PutBeside } from '../../state/beside.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import {
  useBodies,
  useJudgedPattern,
  usePatternPlan,
  type PlainBody,
  type PlainPattern,
} from '../../workers/pattern.js';
import { gramsOf } from '../canes/words/caneWords.js';
import { PatternFace } from './faces/PatternFace.js';
import { stepTitle } from './steps/index.js';
import type { BenchPattern } from './usePattern.js';
import type { PatternEditing } from './usePatternEditing.js';

interface SideBySideProps {
  readonly patternId: string;
  readonly bench: BenchPattern;
  readonly editing: PatternEditing;
}

/** px that the largest of them has. */
const LARGEST = 190;
const NOTHING: readonly PutBeside[] = [];

/** mm of the longer side of what comes of it; 0 where nothing does. */
const longest = (body: PlainBody | null | undefined): number => (body?.there ? Math.max(body.width, body.height) : 0);

interface OneProps {
  readonly plain: PlainPattern;
  readonly bench: BenchPattern;
  readonly words: string;
  /** px for a mm: all of them are as large beside each other as they are on the table */
  readonly scale: number;
  readonly children?: ReactElement | null;
}

/** What comes of one state: its picture, its size, its clay, its veins, and what is left at arm's length. */
function One({ plain, bench, words, scale, children = null }: OneProps): ReactElement {
  const units = useUnits();
  const bodies = useBodies(plain);
  const judged = useJudgedPattern(plain, bench.colours);
  const plan = usePatternPlan(plain, null);
  const body = bodies?.at(-1) ?? null;
  const grams = plan !== null && typeof plan !== 'string' ? gramsOf(plan.taken, bench.materials).total : null;
  const size = body?.round === true ? `${showLength(body.width, units)} across` : null;
  return (
    <Box as="li" width={`${LARGEST}px`}>
      {body?.there && (
        <PatternFace
          pattern={plain}
          at={plain.steps.length - 1}
          body={body}
          size={Math.max(24, Math.round(longest(body) * scale))}
          paints={bench.paints}
          label={words}
        />
      )}
      <Box fontSize="small" fontWeight={600} marginTop={1} lineHeight={1.25}>
        {words}
      </Box>
      {body?.there && (
        <Caption display="block">
          {size ?? showSize(body.width, body.height, units)}, {showLength(body.thick, units, true)} thick
          {grams === null ? '' : `, of ${showMass(grams, units)}`}
        </Caption>
      )}
      {judged && Number.isFinite(judged.vein) && (
        <Caption display="block">
          veins {showLength(judged.vein, units, judged.vein < 1)}, ΔE {judged.contrast.toFixed(0)} at arm’s length
        </Caption>
      )}
      {children}
    </Box>
  );
}

/** Up to four states of the sheet beside what it is now, all at one scale. */
export function SideBySide({ patternId, bench, editing }: SideBySideProps): ReactElement {
  const units = useUnits();
  const beside = useBeside((s) => s.all[patternId]) ?? NOTHING;
  const { put, away } = useBeside.getState();
  const { plain } = bench;
  const scale = useScale(plain, beside);
  const step = editing.steps[editing.at];
  const title = step ? `${editing.at + 1} ${stepTitle(step, units)}` : '';
  const keep = (): void => {
    put(patternId, { id: crypto.randomUUID(), words: title, steps: plain.steps });
  };
  return (
    <Box borderTop="rule" paddingTop={3}>
      <Flex gap={4} alignItems="baseline" wrap="wrap">
        {beside.length > 0 && <h2>Side by side</h2>}
        <Word fontSize={beside.length > 0 ? 'small' : undefined} onClick={keep}>
          put it beside, to compare
        </Word>
      </Flex>
      {beside.length > 0 && (
        <Flex as="ul" gap={4} marginTop={2} wrap="wrap" alignItems="flex-start" aria-label="Side by side">
          <One plain={plain} bench={bench} words={`now: ${title}`} scale={scale} />
          {beside.map((other) => (
            <One
              key={other.id}
              plain={{ ...plain, steps: other.steps }}
              bench={bench}
              words={other.words}
              scale={scale}
            >
              <Flex gap={3} fontSize="small">
                <Word
                  onClick={() => {
                    editing.setSteps(other.steps);
                  }}
                >
                  go back to it
                </Word>
                <Word
                  aria-label={`Take away from beside: ${other.words}`}
                  onClick={() => {
                    away(patternId, other.id);
                  }}
                >
                  away
                </Word>
              </Flex>
            </One>
          ))}
        </Flex>
      )}
    </Box>
  );
}

/** px for a mm, so that the largest of all has the room that there is. */
function useScale(plain: PlainPattern, beside: readonly PutBeside[]): number {
  const others = [0, 1, 2, 3].map((i) => ({ ...plain, steps: beside[i]?.steps ?? plain.steps }));
  const [one, two, three, four] = others as [PlainPattern, PlainPattern, PlainPattern, PlainPattern];
  const bodies = [useBodies(plain), useBodies(one), useBodies(two), useBodies(three), useBodies(four)];
  const sizes = bodies.map((all) => longest(all?.at(-1)));
  const most = Math.max(1, ...sizes);
  return useMemo(() => LARGEST / most, [most]);
}
