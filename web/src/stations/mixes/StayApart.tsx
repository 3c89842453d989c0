import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import {
  CLEAR_LIGHTNESS,
  apart,
  hexOf,
  readColour,
  weakestPair,
  whatHelps,
  xyzOfLab,
  type Apart,
  type Lab,
} from '#core/colour';
import { showLength } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { isMix, useTile } from '../../state/tile.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';

interface Layer {
  readonly key: string;
  readonly name: string;
  readonly hex: string;
}
const [FEWEST, MOST] = [2, 6];
const LAMP: Readonly<Record<Apart['lamp'], string>> = {
  clear: 'clear under the lamp',
  faint: 'faint under the lamp',
  lost: 'lost under the lamp',
};

const layerOf = ({ name, hexes }: Pick<Picked, 'name' | 'hexes'>): Layer => ({
  key: crypto.randomUUID(),
  name,
  hex: hexes[0] ?? '999999',
});
/** What the lamp leaves of a colour: its lightness. */
const grey = (hex: string): string => hexOf(xyzOfLab({ l: readColour(hex).l, a: 0, b: 0 }));

/** Colours in the order they are stacked: which neighbours stay apart, down to which size, and what helps. */
export function StayApart({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const units = useUnits();
  const carried = useTile((s) => s.carried);
  const [stack, setStack] = useState<readonly Layer[]>(() => carried.filter(isMix).slice(0, MOST).map(layerOf));
  const [picking, setPicking] = useState(false);
  const full = stack.length >= MOST;
  useKeys(
    'Staying apart',
    full
      ? []
      : [
          {
            key: 'a',
            does: 'Add a colour to the stack',
            run: () => {
              setPicking(true);
            },
          },
        ],
  );
  const labs = useMemo((): Lab[] => stack.map((layer) => readColour(layer.hex)), [stack]);
  const sheets = useMemo(() => shelf.clays.filter((c) => !c.retired && c.kind === 'opaque'), [shelf]);
  const help = useMemo(
    () => (labs.length >= FEWEST ? whatHelps(labs, full ? [] : sheets.map((c) => readColour(c.bakedHex))) : null),
    [labs, sheets, full],
  );
  const move = (at: number, by: 1 | -1): void => {
    const next = [...stack];
    const [one, other] = [next[at], next[at + by]];
    if (one && other) {
      next[at] = other;
      next[at + by] = one;
      setStack(next);
    }
  };
  const weakest = labs.length >= FEWEST ? weakestPair(labs) : null;
  const named = (i: number): string => stack[i]?.name ?? '';
  const doIt = (): void => {
    if (!help) return;
    const next = [...stack];
    if (help.kind === 'swap') {
      const [one, other] = [next[help.first], next[help.second]];
      if (one && other) {
        next[help.first] = other;
        next[help.second] = one;
      }
    } else {
      const sheet = sheets[help.sheet];
      if (sheet) next.splice(help.at + 1, 0, layerOf({ name: sheet.name, hexes: [sheet.bakedHex] }));
    }
    setStack(next);
  };
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
        {stack.map((layer, i) => {
          const [own, below] = [labs[i], labs[i + 1]];
          const pair = own && below ? apart(own, below) : null;
          return (
            <Grid as="li" key={layer.key} templateColumns="minmax(0, 300px) 150px minmax(0, 1fr)" columnGap={4}>
              <Flex height="62px" alignItems="center" paddingX={3} style={{ background: `#${layer.hex}` }} />
              <Box style={{ background: `#${grey(layer.hex)}` }} />
              <Box alignSelf="center">
                <b>{layer.name}</b> <Caption>L* {Math.round(own?.l ?? 0)}</Caption>{' '}
                <Box as="span" fontSize="small">
                  <Word
                    disabled={i === 0}
                    aria-label={`${layer.name} one up`}
                    onClick={() => {
                      move(i, -1);
                    }}
                  >
                    up
                  </Word>{' '}
                  <Word
                    disabled={i === stack.length - 1}
                    aria-label={`${layer.name} one down`}
                    onClick={() => {
                      move(i, 1);
                    }}
                  >
                    down
                  </Word>{' '}
                  <Word
                    aria-label={`Take ${layer.name} out`}
                    onClick={() => {
                      setStack(stack.filter((l) => l.key !== layer.key));
                    }}
                  >
                    out
                  </Word>
                </Box>
                {pair && (
                  <Box fontSize="small" lineHeight={1.35} data-pair={pair.lamp}>
                    and {named(i + 1)}: {pair.lamp === 'clear' ? LAMP.clear : <b>{LAMP[pair.lamp]}</b>} (ΔL*{' '}
                    {Math.round(pair.dL)}), ΔE {Math.round(pair.deltaE)};{' '}
                    {pair.runTogetherBelow === null
                      ? 'run together at any size'
                      : `run together below ${showLength(pair.runTogetherBelow, units, true)}`}
                  </Box>
                )}
              </Box>
            </Grid>
          );
        })}
      </Box>
      {picking ? (
        <MaterialPicker
          place="chosen"
          label="Colour to add to the stack"
          onPick={(p) => {
            setPicking(false);
            setStack([...stack, layerOf(p)]);
          }}
          onCancel={() => {
            setPicking(false);
          }}
        />
      ) : (
        <Box>
          <Action
            disabled={full}
            onClick={() => {
              setPicking(true);
            }}
          >
            {stack.length === 0 ? 'Lay down the first colour' : 'Another colour below'}
          </Action>
          {full && <Caption> six is the most</Caption>}
        </Box>
      )}
      {weakest && (
        <Box borderTop="rule" paddingTop={4} maxWidth="720px" role="status">
          <Box as="h2" marginBottom={2}>
            {weakest.dL >= CLEAR_LIGHTNESS
              ? 'They stay apart'
              : `${named(weakest.at)} and ${named(weakest.at + 1)} are the weakest pair`}
          </Box>
          {weakest.dL < CLEAR_LIGHTNESS &&
            (help ? (
              <Warning>
                {help.kind === 'swap' ? (
                  <>
                    Changing {named(help.first)} and {named(help.second)} round helps most: no neighbours closer than
                    ΔL* {Math.round(help.dL)}.{' '}
                  </>
                ) : (
                  <>
                    A thin sheet of {sheets[help.sheet]?.name} between them helps most: no neighbours closer than{' '}
                    {`ΔL* ${Math.round(help.dL)}. `}
                  </>
                )}
                <Word onClick={doIt}>Do it</Word>
              </Warning>
            ) : (
              <Warning>
                Neither another order nor a sheet of a clay on the shelf helps: choose a lighter or a darker mix for one
                of them.
              </Warning>
            ))}
        </Box>
      )}
      <Caption>
        Sizes are for the eye at 30 cm, with a line spread of ~{showLength(0.1, units, true)}; the limits of clear,
        faint and lost are assumptions.
      </Caption>
    </Flex>
  );
}
