import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { gradedSet, rowsIn, shadeBetween, type FadePiece } from '#core/blend';
import { hexOf, xyzOfLab } from '#core/colour';
import { orSentence, showLength, showMass } from '#core/units';
import type { BlendPlanDto } from '#contract';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import type { WorkedBlend } from './workedBlend.js';

const BRIDGE = 2;

interface PiecesProps {
  readonly worked: WorkedBlend;
  readonly plan: BlendPlanDto;
  readonly onChange: (part: Partial<BlendPlanDto>) => void;
}

/** Pieces cut from the fade: a graded set, or each where it is put. */
export function Pieces({ worked, plan, onChange }: PiecesProps): ReactElement {
  const units = useUnits();
  const [count, setCount] = useState(5);
  const [size, setSize] = useState(18);
  const { fade } = worked;
  const { placed } = plan;
  const graded = ((): readonly FadePiece[] | string => {
    return orSentence(() => gradedSet(fade, count, size, BRIDGE));
  })();
  const evenly = typeof graded === 'string' ? [] : graded;
  const byHand = placed?.map(({ x, size: s }) => ({ x, lab: shadeBetween(fade, x - s / 2, x + s / 2) }));
  const shades: readonly FadePiece[] = byHand ?? evenly;
  const area = placed
    ? placed.reduce((sum, p) => sum + (Math.PI / 4) * p.size ** 2, 0)
    : shades.length * (Math.PI / 4) * size ** 2;
  const rows = rowsIn(plan.height, placed ? Math.max(1, ...placed.map((p) => p.size)) : size, BRIDGE);
  const left = 1 - Math.min(1, (area * rows) / (plan.width * plan.height));
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Pieces
      </Box>
      {placed ? (
        <Box fontSize="small">
          {placed.length} where you put them on the fade; drag them there, or with the arrow keys
          {placed.map((p, i) => (
            <Box key={i}>
              piece {i + 1}:{' '}
              <LengthValue
                label={`Size of piece ${i + 1}`}
                value={p.size}
                onChange={(s) => {
                  if (s >= 1) onChange({ placed: placed.map((q, k) => (k === i ? { ...q, size: s } : q)) });
                }}
              />{' '}
              at{' '}
              <LengthValue
                label={`Place of piece ${i + 1}`}
                value={p.x}
                onChange={(x) => {
                  if (x >= 0 && x <= plan.width)
                    onChange({ placed: placed.map((q, k) => (k === i ? { ...q, x } : q)) });
                }}
              />{' '}
              ·{' '}
              <Word
                aria-label={`Take piece ${i + 1} away`}
                onClick={() => {
                  onChange({ placed: placed.filter((_, k) => k !== i) });
                }}
              >
                away
              </Word>
            </Box>
          ))}
          <Word
            onClick={() => {
              onChange({ placed: [...placed, { x: plan.width / 2, size }] });
            }}
          >
            another piece
          </Word>{' '}
          ·{' '}
          <Word
            onClick={() => {
              onChange({ placed: null });
            }}
          >
            evenly again
          </Word>
        </Box>
      ) : (
        <Box>
          <CountValue label="Pieces along the fade" value={count} onChange={setCount} /> of{' '}
          <LengthValue
            label="Size of a piece"
            value={size}
            onChange={(v) => {
              if (v > 0) setSize(v);
            }}
          />
          , one shade each
          {typeof graded === 'string' ? (
            <Warning>{graded}</Warning>
          ) : (
            <Box fontSize="small">
              <Word
                onClick={() => {
                  onChange({ placed: graded.map((p) => ({ x: p.x, size })) });
                }}
              >
                put them elsewhere
              </Word>
            </Box>
          )}
        </Box>
      )}
      <Flex gap="2px" wrap="wrap" marginTop={2} aria-label="Shades of the pieces" role="img">
        {shades.map((p, i) => (
          <Box
            key={i}
            width="30px"
            height="30px"
            borderRadius="50%"
            style={{ background: `#${hexOf(xyzOfLab(p.lab))}` }}
          />
        ))}
      </Flex>
      {shades.length > 0 && (
        <Caption>
          {rows === 0
            ? `the blend is only ${showLength(plan.height, units)} high: none fits`
            : `${rows} rows of them on the sheet · ${showMass(left * worked.grams, units)} is left over`}
        </Caption>
      )}
    </div>
  );
}
