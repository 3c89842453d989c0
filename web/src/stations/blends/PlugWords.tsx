import { Box, Flex } from '@chakra-ui/react';
import { useCallback, type ReactElement } from 'react';
import type { RolledPlug, FannedPlug } from '#core/blend';
import { showLength, showMass, showSize } from '#core/units';
import { Choice } from '../../parts/Choice.js';
import { LengthValue, Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Second } from '../../theme/pieces.js';
import { PlugFace } from './FadeStrip.js';
import type { TapeProps } from './tapeProps.js';
import { endOptions, insideWords, placeOnFace, readTapes } from './tapeWords.js';

const PLUGS = [
  { value: 'rolled', text: 'rolled up' },
  { value: 'fan', text: 'folded like a fan' },
] as const;

/** Longest side of the face, and the least it is high, in pixels. */
const [FACE, FACE_LEAST] = [104, 24];
/** Colour that is added at an end where nobody says how much, mm. */
const USUAL_EXTRA = 20;

/** A plug that is rolled up: which end is inside, how large, and how much the inner colour fills. */
function Rolled({ plan, worked, onChange, plug }: TapeProps & { readonly plug: RolledPlug }): ReactElement {
  const units = useUnits();
  const ends = endOptions(worked.colours);
  const inner = ends.find((e) => e.value === plan.inside)?.text ?? '';
  return (
    <>
      ,{' '}
      <Choice
        label="Which end is inside"
        value={plan.inside}
        options={ends.map((e) => ({ ...e, text: `${e.text} inside` }))}
        onChange={(inside) => {
          onChange({ inside });
        }}
      />
      <Box>{showSize(plug.diameter, plug.height, units)}</Box>
      <Second>{insideWords(inner, plug, worked.pureInside, units)}</Second>
    </>
  );
}

/** A plug that is folded like a fan: how deep, and how large. */
function Fanned({ plan, onChange, plug }: TapeProps & { readonly plug: FannedPlug }): ReactElement {
  const units = useUnits();
  return (
    <>
      , folds{' '}
      <LengthValue
        label="Depth of the folds"
        value={plan.fanDepth}
        onChange={(fanDepth) => {
          onChange({ fanDepth });
        }}
      />{' '}
      deep
      <Box>
        {showSize(plug.width, plug.depth, units)}, {showLength(plug.height, units)} high
      </Box>
      <Second>{plug.folds} folds, from side to side</Second>
    </>
  );
}

/** Colour that is added at one end of the tape. */
function Extra({ plan, worked, onChange }: TapeProps): ReactElement {
  const units = useUnits();
  return (
    <Box marginTop={1}>
      more{' '}
      <Choice
        label="Colour added at an end of the tape"
        value={plan.extraAt ?? 'none'}
        options={[{ value: 'none', text: 'nothing' }, ...endOptions(worked.colours)]}
        onChange={(at) => {
          onChange(
            at === 'none' ? { extraAt: null, extraMm: null } : { extraAt: at, extraMm: plan.extraMm ?? USUAL_EXTRA },
          );
        }}
      />{' '}
      at its end
      {plan.extraAt && (
        <>
          :{' '}
          <LengthValue
            label="Length of the added colour"
            value={plan.extraMm ?? 0}
            onChange={(extraMm) => {
              onChange({ extraMm });
            }}
          />
          , {showMass(worked.extraGrams, units)}
        </>
      )}
    </Box>
  );
}

/** How many tapes are laid on each other. */
function Stacked({ plan, onChange }: Omit<TapeProps, 'worked'>): ReactElement {
  const stack = plan.stack ?? 1;
  return (
    <Box>
      <Value
        label="Tapes laid on each other"
        text={String(stack)}
        read={readTapes}
        onChange={(next) => {
          onChange({ stack: next });
        }}
      />{' '}
      {stack === 1 ? 'tape' : 'tapes on each other, so many blends'}
    </Box>
  );
}

/** The tape wound up: its face, and how. */
export function PlugWords(props: TapeProps): ReactElement {
  const { plan, worked, onChange } = props;
  const { plug, tapeLabs } = worked;
  const placeAt = useCallback((x: number, y: number) => placeOnFace(plug, x, y), [plug]);
  const fanHeight = plug.kind === 'fan' ? (FACE * plug.depth) / plug.width : FACE;
  return (
    <Flex gap={4} minWidth={0}>
      <PlugFace
        labs={tapeLabs}
        placeAt={placeAt}
        width={FACE}
        height={Math.max(FACE_LEAST, Math.min(FACE, fanHeight))}
      />
      <Box fontSize="small" lineHeight={1.45}>
        <Box as="h2" marginBottom={1}>
          Plug
        </Box>
        <Choice
          label="How the tape is wound up"
          value={plan.plug}
          options={PLUGS}
          onChange={(value) => {
            onChange({ plug: value });
          }}
        />
        {plug.kind === 'rolled' ? <Rolled {...props} plug={plug} /> : <Fanned {...props} plug={plug} />}
        <Extra {...props} />
        <Stacked plan={plan} onChange={onChange} />
      </Box>
    </Flex>
  );
}
