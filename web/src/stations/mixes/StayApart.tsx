import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import {
  CLEAR_LIGHTNESS,
  LINE_SPREAD,
  apart,
  readColour,
  weakestPair,
  whatHelps,
  type Apart,
  type Help,
  type Lab,
} from '#core/colour';
import { showLength } from '#core/units';
import type { ClayDto, ShelfAnswer } from '#contract';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { isMix, useTile } from '../../state/tile.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';
import { LAMP, changedRound, helpWords, helped, layerOf, sizeWords, underLamp, type Layer } from './stackMoves.js';

const [FEWEST, MOST] = [2, 6];

/** A stack of colours, how its neighbours stand, and what helps. */
function useStack(shelf: ShelfAnswer) {
  const carried = useTile((s) => s.carried);
  const [stack, setStack] = useState<readonly Layer[]>(() => carried.filter(isMix).slice(0, MOST).map(layerOf));
  const full = stack.length >= MOST;
  const labs = useMemo((): Lab[] => stack.map((layer) => readColour(layer.hex)), [stack]);
  const sheets = useMemo(() => shelf.clays.filter((c) => !c.retired && c.kind === 'opaque'), [shelf]);
  const enough = labs.length >= FEWEST;
  const help = useMemo(
    () => (enough ? whatHelps(labs, full ? [] : sheets.map((c) => readColour(c.bakedHex))) : null),
    [enough, labs, sheets, full],
  );
  return { stack, setStack, full, labs, sheets, help, weakest: enough ? weakestPair(labs) : null };
}

interface LayerProps {
  readonly layer: Layer;
  readonly at: number;
  readonly stack: readonly Layer[];
  readonly labs: readonly Lab[];
  readonly onStack: (stack: readonly Layer[]) => void;
}

/** Up, down, and out. */
function LayerWords({ layer, at, stack, onStack }: Omit<LayerProps, 'labs'>): ReactElement {
  return (
    <Box as="span" fontSize="small">
      <Word
        disabled={at === 0}
        aria-label={`${layer.name} one up`}
        onClick={() => {
          onStack(changedRound(stack, at, at - 1));
        }}
      >
        up
      </Word>{' '}
      <Word
        disabled={at === stack.length - 1}
        aria-label={`${layer.name} one down`}
        onClick={() => {
          onStack(changedRound(stack, at, at + 1));
        }}
      >
        down
      </Word>{' '}
      <Word
        aria-label={`Take ${layer.name} out`}
        onClick={() => {
          onStack(stack.filter((l) => l.key !== layer.key));
        }}
      >
        out
      </Word>
    </Box>
  );
}

/** How two neighbours stand. */
function Pair({ pair, name }: { readonly pair: Apart; readonly name: string }): ReactElement {
  const units = useUnits();
  return (
    <Box fontSize="small" lineHeight={1.35} data-pair={pair.lamp}>
      and {name}: {pair.lamp === 'clear' ? LAMP.clear : <b>{LAMP[pair.lamp]}</b>} {sizeWords(pair, units)}
    </Box>
  );
}

/** One colour of the stack, and how it stands to the one below. */
function OneLayer({ layer, at, stack, labs, onStack }: LayerProps): ReactElement {
  const [own, below] = [labs[at], labs[at + 1]];
  const pair = own && below ? apart(own, below) : null;
  return (
    <Grid as="li" templateColumns="minmax(0, 300px) 150px minmax(0, 1fr)" columnGap={4}>
      <Flex height="62px" alignItems="center" paddingX={3} style={{ background: `#${layer.hex}` }} />
      <Box style={{ background: `#${underLamp(layer.hex)}` }} />
      <Box alignSelf="center">
        <b>{layer.name}</b> <Caption>L* {Math.round(own?.l ?? 0)}</Caption>{' '}
        <LayerWords layer={layer} at={at} stack={stack} onStack={onStack} />
        {pair && <Pair pair={pair} name={stack[at + 1]?.name ?? ''} />}
      </Box>
    </Grid>
  );
}

interface AddProps {
  readonly full: boolean;
  readonly first: boolean;
  readonly onAdd: (layer: Layer) => void;
}

/** A colour more, at the bottom. */
function AddColour({ full, first, onAdd }: AddProps): ReactElement {
  const [picking, setPicking] = useState(false);
  const begin = (): void => {
    setPicking(true);
  };
  useKeys('Staying apart', full ? [] : [{ key: 'a', does: 'Add a colour to the stack', run: begin }]);
  if (picking)
    return (
      <MaterialPicker
        place="chosen"
        label="Colour to add to the stack"
        onPick={(picked) => {
          setPicking(false);
          onAdd(layerOf(picked));
        }}
        onCancel={() => {
          setPicking(false);
        }}
      />
    );
  return (
    <Box>
      <Action disabled={full} onClick={begin}>
        {first ? 'Lay down the first colour' : 'Another colour below'}
      </Action>
      {full && <Caption> six is the most</Caption>}
    </Box>
  );
}

interface VerdictProps {
  readonly weakest: { readonly at: number; readonly dL: number };
  readonly help: Help | null;
  readonly stack: readonly Layer[];
  readonly sheets: readonly ClayDto[];
  readonly onDo: (help: Help) => void;
}

/** Whether they stay apart, and what helps where they do not. */
function Verdict({ weakest, help, stack, sheets, onDo }: VerdictProps): ReactElement {
  const named = (i: number): string => stack[i]?.name ?? '';
  const clear = weakest.dL >= CLEAR_LIGHTNESS;
  const title = clear ? 'They stay apart' : `${named(weakest.at)} and ${named(weakest.at + 1)} are the weakest pair`;
  return (
    <Box borderTop="rule" paddingTop={4} maxWidth="720px" role="status">
      <Box as="h2" marginBottom={2}>
        {title}
      </Box>
      {!clear && help && (
        <Warning>
          {helpWords(help, stack, sheets)}{' '}
          <Word
            onClick={() => {
              onDo(help);
            }}
          >
            Do it
          </Word>
        </Warning>
      )}
      {!clear && !help && (
        <Warning>
          Neither another order nor a sheet of a clay on the shelf helps: choose a lighter or a darker mix for one of
          them.
        </Warning>
      )}
    </Box>
  );
}

/** Colours in the order they are stacked: which neighbours stay apart, down to which size, and what helps. */
export function StayApart({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const units = useUnits();
  const { stack, setStack, full, labs, sheets, help, weakest } = useStack(shelf);
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Do they stay apart?</h1>
        <Second>two to six colours, as they are stacked; on the right, what the lamp leaves of them</Second>
      </Flex>
      {stack.length === 0 && (
        <Box maxWidth="480px" color="ink2">
          Lay down the colours in the order they will lie in the cane or the stack, the top one first.
        </Box>
      )}
      <Box as="ul" aria-label="Stack, the top one first">
        {stack.map((layer, i) => (
          <OneLayer key={layer.key} layer={layer} at={i} stack={stack} labs={labs} onStack={setStack} />
        ))}
      </Box>
      <AddColour
        full={full}
        first={stack.length === 0}
        onAdd={(layer) => {
          setStack([...stack, layer]);
        }}
      />
      {weakest && (
        <Verdict
          {...{ weakest, help, stack, sheets }}
          onDo={(what) => {
            setStack(helped(stack, what, sheets));
          }}
        />
      )}
      <Caption>
        Sizes are for the eye at 30 cm, with a line spread of ~{showLength(LINE_SPREAD, units, true)}; the limits of
        clear, faint and lost are assumptions.
      </Caption>
    </Flex>
  );
}
