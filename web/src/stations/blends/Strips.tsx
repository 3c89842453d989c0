import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { stripsOf, type Strip } from '#core/blend';
import { hexOf, xyzOfLab } from '#core/colour';
import { Fraction, orSentence, showNumber } from '#core/units';
import { CountValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Caption, Second } from '../../theme/pieces.js';
import type { WorkedBlend } from './workedBlend.js';

const discs = (quarters: number): string => showNumber(new Fraction(quarters, 4));

/** Strips of stepped parts, for those without a machine. */
export function Strips({ worked: { layout, colours } }: { readonly worked: WorkedBlend }): ReactElement {
  const [count, setCount] = useState(7);
  const strips = ((): readonly Strip[] | string => {
    return orSentence(() =>
      stripsOf(
        layout,
        colours.map((c) => c.pigment),
        count,
      ),
    );
  })();
  const words = ({ quarters }: Strip): string =>
    quarters
      .map((h, i) => (h === 0 ? '' : `${discs(h)} ${colours[i]?.name ?? ''}`))
      .filter((w) => w !== '')
      .join(' + ');
  return (
    <Box minWidth={0}>
      <Box as="h2" marginBottom={2}>
        Without a machine: <CountValue label="Number of strips" value={count} onChange={setCount} /> strips
      </Box>
      {typeof strips === 'string' ? (
        <Warning>{strips}</Warning>
      ) : (
        <>
          <Flex as="ol" aria-label="Strips">
            {strips.map((s, i) => (
              <Box as="li" key={i} flex={1} minWidth={0}>
                <Box height="44px" style={{ background: `#${hexOf(xyzOfLab(s.lab))}` }} />
                <Caption display="block" lineHeight={1.25} paddingRight={2}>
                  {words(s)}
                </Caption>
              </Box>
            ))}
          </Flex>
          {strips.length < count && (
            <Caption display="block" marginTop={1}>
              Quarter discs make only {strips.length} that look different: between them the strong colour leaves no room
              for more.
            </Caption>
          )}
          <Second>
            in discs; mixed each by itself, rolled to equal strips, laid side by side and rolled over once ·{' '}
            {'steps of ΔE '}
            {Math.min(...strips.slice(1).map((s) => s.step)).toFixed(1)} to{' '}
            {Math.max(...strips.slice(1).map((s) => s.step)).toFixed(1)}
          </Second>
        </>
      )}
    </Box>
  );
}
