import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { PatternStep, PatternStepOf, View } from '#core/pattern';
import { showLength } from '#core/units';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import type { PlainBody } from '../../workers/pattern.js';
import { FROM_FRONT, Knife } from './Knife.js';
import { LargeLook } from './LargeLook.js';
import { PatternFace } from './faces/PatternFace.js';
import { viewOf } from './steps/index.js';
import type { BenchPattern } from './usePattern.js';
import type { PatternEditing } from './usePatternEditing.js';

interface BenchProps {
  readonly bench: BenchPattern;
  readonly editing: PatternEditing;
}

/** The sentence of a step, each value of it to be changed where it stands, and what can be done with it. */
function Sentence({ bench, editing }: BenchProps): ReactElement | null {
  const { steps, at } = editing;
  const step = steps[at];
  if (!step) return null;
  const Fields = viewOf(step.do).Fields;
  const before = bench.bodies?.[at - 1];
  const wrong = bench.bodies?.[at]?.wrong;
  return (
    <Box borderTop="rule" paddingTop={3} fontSize="body" lineHeight={1.8}>
      <Fields
        key={step.id}
        step={step}
        materials={bench.materials}
        now={before?.there ? before : null}
        onChange={editing.edit}
      />
      {wrong != null && <Warning>{wrong}</Warning>}
      {viewOf(step.do).caution !== undefined && <Caption display="block">{viewOf(step.do).caution}</Caption>}
      <Flex gap={4} marginTop={2} fontSize="small">
        <Word
          onClick={() => {
            editing.setAdding(true);
          }}
        >
          add after it
        </Word>
        {at > 0 && (
          <>
            <Word onClick={editing.copy}>copy</Word>
            <Word onClick={editing.remove}>take out</Word>
          </>
        )}
      </Flex>
    </Box>
  );
}

const PIECE = 92;
/** Pieces that are shown; of more the first ones. */
const MOST_PIECES = 12;

/** Shavings or slices in their order, each as it comes off the knife. */
function Pieces({ bench, at, body }: { readonly bench: BenchPattern; readonly at: number; readonly body: PlainBody }) {
  const units = useUnits();
  const step = bench.plain.steps[at];
  if (body.count < 2 || !step) return null;
  const from = (k: number): number =>
    'thickness' in step && 'depth' in step && typeof step.depth === 'number' ? step.depth + k * step.thickness : 0;
  return (
    <Box>
      <Box as="h2" marginBottom={2}>
        {step.do === 'shave' ? 'The shavings, in their order' : 'The slices, in their order'}
      </Box>
      <Flex as="ol" gap={3} wrap="wrap">
        {Array.from({ length: Math.min(MOST_PIECES, body.count) }, (_, piece) => (
          <li key={piece}>
            <PatternFace
              pattern={bench.plain}
              at={at}
              view={{ of: 'face', piece }}
              body={body}
              size={PIECE}
              paints={bench.paints}
              label={`Piece ${piece + 1}`}
            />
            <Caption>{step.do === 'shave' ? `${showLength(from(piece), units)} down` : `${piece + 1}`}</Caption>
          </li>
        ))}
      </Flex>
    </Box>
  );
}

/** px of the large look. */
const LARGE = 400;

/** A rope as it lies there, cut open along its middle. */
function AlongRope({
  bench,
  at,
  body,
}: {
  readonly bench: BenchPattern;
  readonly at: number;
  readonly body: PlainBody;
}) {
  return (
    <Box>
      <Box as="h2" marginBottom={2}>
        The rope along its middle
      </Box>
      <PatternFace
        pattern={bench.plain}
        at={at}
        view={{ of: 'side', degrees: 0, off: 0 }}
        body={body}
        size={LARGE}
        paints={bench.paints}
        label="The rope along its middle"
      />
    </Box>
  );
}

interface Shown {
  readonly at: number;
  readonly body: PlainBody | null;
}

/** Where slices cannot be laid one sees the sheet that they were put on; null: what there is after the step. */
function largeOf(step: PatternStep | undefined, { at, body }: Shown, before: PlainBody | null): Shown | null {
  return step?.do === 'inlay' && !body?.there && before?.there ? { at: at - 1, body: before } : null;
}

/** The chosen step large: what is there, seen from above, from the side, and cut where one likes. */
export function PatternBench({ bench, editing }: BenchProps): ReactElement {
  const { steps, at } = editing;
  const [depth, setDepth] = useState<number | null>(null);
  const [side, setSide] = useState(FROM_FRONT);
  const step = steps[at];
  const body = bench.bodies?.[at] ?? null;
  const before = bench.bodies?.[at - 1] ?? null;
  // at a shaving one sees where the knife goes through the block that it is cut from
  const shave = step?.do === 'shave' && before?.there ? (step as PatternStepOf<'shave'>) : null;
  const block = shave ? before : body;
  const blockAt = shave ? at - 1 : at;
  const cuts = block?.there && block.form === 'block' ? block : null;
  const large = largeOf(step, { at, body }, before) ?? { at: cuts ? blockAt : at, body: cuts ?? body };
  const level = depth ?? shave?.depth ?? 0;
  const view: View = cuts ? { of: 'level', depth: level } : { of: 'face' };
  return (
    <Grid templateColumns={`${LARGE}px minmax(0, 1fr)`} gap={6} alignItems="start">
      <LargeLook
        bench={bench}
        {...large}
        view={view}
        size={LARGE}
        coarse={depth !== null}
        cutAt={cuts ? side : null}
        step={step}
        before={before?.there ? before : null}
        onChange={editing.edit}
      />
      <Flex direction="column" gap={4} minWidth={0}>
        {cuts && (
          <Knife
            bench={bench}
            at={blockAt}
            body={cuts}
            depth={level}
            thickness={shave ? shave.thickness * shave.number : 0}
            side={side}
            onSide={setSide}
            onDrag={setDepth}
            onDrop={(mm) => {
              setDepth(shave ? null : mm);
              if (shave) editing.edit({ ...shave, depth: mm });
            }}
          />
        )}
        {!cuts && body?.form === 'rope' && body.there && <AlongRope bench={bench} at={at} body={body} />}
        {body?.there && <Pieces bench={bench} at={at} body={body} />}
        <Sentence bench={bench} editing={editing} />
      </Flex>
    </Grid>
  );
}
