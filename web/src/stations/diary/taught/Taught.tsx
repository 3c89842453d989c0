import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { TaughtAnswer, TaughtFigure } from '#contract';
import { Reading } from '../../../parts/Empty.js';
import { useUnits } from '../../../state/view.js';
import { grey } from '../../../theme/grey.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { useTaught } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import { countWords, figureName, teachWords, valueWords } from './taughtWords.js';

/** px of a scale, and how far it goes to both sides of what is assumed: times, and a part. */
const [WIDE, HIGH, FARTHEST] = [240, 26, 3];

/** px from the left of so many times what is assumed. */
function placeOf(factor: number): number {
  const within = Math.max(1 / FARTHEST, Math.min(FARTHEST, factor));
  return WIDE / 2 + ((WIDE / 2 - 8) * Math.log(within)) / Math.log(FARTHEST);
}

/** What is assumed as a line in the middle, what was learned as a mark with how far it may be off. */
function OnScale({ figure }: { readonly figure: TaughtFigure }): ReactElement {
  const { assumed, learned, from, off, aside } = figure;
  const factor = learned / assumed;
  const middle = HIGH / 2;
  return (
    <svg width={WIDE} height={HIGH} aria-hidden>
      <line x1={0} x2={WIDE} y1={middle} y2={middle} stroke={grey.hairline} />
      <line x1={WIDE / 2} x2={WIDE / 2} y1={4} y2={HIGH - 4} stroke={grey.ink} strokeWidth={2} />
      {from > 0 && (
        <>
          <line
            x1={placeOf(factor * Math.exp(-off))}
            x2={placeOf(factor * Math.exp(off))}
            y1={middle}
            y2={middle}
            stroke={grey.ink}
            strokeWidth={3}
          />
          <circle
            cx={placeOf(factor)}
            cy={middle}
            r={7}
            fill={aside ? grey.bench : grey.ink}
            stroke={grey.ink}
            strokeWidth={2}
          />
        </>
      )}
    </svg>
  );
}

const setAside = ({ key, aside }: TaughtFigure): void => {
  void change('PUT', `/api/taught/${encodeURIComponent(key)}`, { aside: !aside });
};

/** One figure: what is assumed, what was learned, from how many counts; and whether it is used. */
function OneFigure({ figure }: { readonly figure: TaughtFigure }): ReactElement {
  const units = useUnits();
  const { assumed, learned, from, off, aside } = figure;
  return (
    <Box as="tr" borderTop="hair">
      <Box as="td" paddingY={2} paddingRight={4}>
        {figureName(figure)}
      </Box>
      <Box as="td" paddingRight={4} textAlign="right">
        ~{valueWords(figure, assumed, units)}
      </Box>
      <td>
        <OnScale figure={figure} />
      </td>
      <Box as="td" paddingX={4} textAlign="right" fontWeight={aside ? 400 : 700}>
        {from === 0 ? '' : valueWords(figure, learned, units)}
        {from > 0 && <Second> ± {Math.round(100 * off)} %</Second>}
      </Box>
      <Box as="td" paddingRight={4}>
        <Caption>{countWords(figure)}</Caption>
      </Box>
      <td>
        {from > 0 && (
          <Word
            fontSize="small"
            aria-label={`${aside ? 'Use' : 'Set aside'}: ${figureName(figure)}`}
            onClick={() => {
              setAside(figure);
            }}
          >
            {aside ? 'set aside: use it again' : 'set it aside'}
          </Word>
        )}
      </td>
    </Box>
  );
}

/** What would teach most. */
function Next({ taught }: { readonly taught: TaughtAnswer }): ReactElement | null {
  const figures = taught.next.flatMap((key) => taught.figures.find((f) => f.key === key) ?? []);
  if (figures.length === 0) return null;
  return (
    <Box as="section" aria-label="What would teach most next" maxWidth="640px">
      <h2>What would teach most next</h2>
      <Box as="ol" paddingLeft={5} marginTop={2} lineHeight={1.6} css={{ listStyle: 'decimal' }}>
        {figures.map((figure) => (
          <li key={figure.key}>{teachWords(figure)}</li>
        ))}
      </Box>
    </Box>
  );
}

/** Where other things are learned, each on a page of its own. */
function Elsewhere(): ReactElement {
  return (
    <Box as="section" aria-label="Taught elsewhere" fontSize="small" lineHeight={1.7} maxWidth="640px">
      <h2>On pages of their own</h2>
      <Box marginTop={1}>
        <Link to="/mixes/taught">what your chips taught</Link> of colours ·{' '}
        <Link to="/sheets">readings of machines</Link> of thicknesses ·{' '}
        <Link to="/batches/ovens">readings of ovens</Link>, each of which can be let go
      </Box>
    </Box>
  );
}

/** What the bench taught: each figure beside what is assumed, and each can be set aside. */
export default function Taught(): ReactElement {
  const taught = useTaught();
  if (!taught.data) return <Reading error={taught.error} />;
  return (
    <Flex direction="column" gap={5} padding={5} height="100%" overflowY="auto">
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>What your bench taught</h1>
        <Second>each plan goes by it; an odd day hardly counts</Second>
        <Box marginLeft="auto" fontSize="small">
          <Link to="/diary">all of the diary</Link>
        </Box>
      </Flex>
      <Box overflowX="auto">
        <Box as="table" textAlign="left" aria-label="What was learned">
          <thead>
            <tr>
              {['', 'assumed', '', 'learned', 'from', ''].map((words, i) => (
                <Box as="th" key={i} paddingRight={4} textAlign={i === 1 || i === 3 ? 'right' : 'left'}>
                  <Caption>{words}</Caption>
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {taught.data.figures.map((figure) => (
              <OneFigure key={figure.key} figure={figure} />
            ))}
          </tbody>
        </Box>
      </Box>
      <Next taught={taught.data} />
      <Elsewhere />
    </Flex>
  );
}
