import { ASSUMED_DENSITY as USUAL_DENSITY } from '#core/clay';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showMass } from '#core/units';
import type { TubAnswer } from '#contract';
import { TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useShelf } from '../../../wire/queries.js';
import { Cores } from './Cores.js';
import { Stretch, TubRules } from './TubRules.js';
import { today } from '../../../state/today.js';
import { useUnits } from '../../../state/view.js';
import { UNKNOWN_HEX, grey } from '../../../theme/grey.js';
import { Caption, Rule, Second, Word } from '../../../theme/pieces.js';
import { change, useRefusal } from '../../../wire/save.js';
import { Pick } from './Thing.js';

/** px of a tub, and how many grams fill it to the brim. */
const [WIDE, HIGH, FULL] = [64, 56, 120];

/** A tub from the side, filled as far as there is scrap in it, in the colour that mixing it through gives. */
function TubDrawing({ tub }: { readonly tub: TubAnswer }): ReactElement {
  const level = (HIGH - 6) * Math.min(1, tub.grams / FULL);
  return (
    <svg width={WIDE} height={HIGH} aria-hidden style={{ display: 'block' }}>
      <rect x="5" y={HIGH - 3 - level} width={WIDE - 10} height={level} fill={`#${tub.hex ?? UNKNOWN_HEX}`} />
      <path d={`M3 3V${HIGH - 2}H${WIDE - 3}V3`} fill="none" stroke={grey.ink} strokeWidth="2.5" />
    </svg>
  );
}

interface TubsProps {
  readonly tubs: readonly TubAnswer[];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** The tubs beside each other. */
export function Tubs({ tubs, chosen, onChoose }: TubsProps): ReactElement {
  const units = useUnits();
  return (
    <Flex wrap="wrap" gap={6} alignItems="flex-end">
      {tubs.map((tub) => (
        <Pick
          key={tub.id}
          aria-pressed={tub.id === chosen}
          aria-label={`Tub ${tub.name}`}
          onClick={() => {
            onChoose(tub.id);
          }}
        >
          <TubDrawing tub={tub} />
          <Box fontWeight={600} fontSize="small" marginTop={1} lineHeight={1.3} maxWidth="150px">
            {tub.name}
          </Box>
          <Caption>{tub.grams > 0 ? showMass(tub.grams, units) : 'empty'}</Caption>
        </Pick>
      ))}
    </Flex>
  );
}

const FALLS = {
  own: 'What is left of this colour falls in here by itself.',
  mica: 'What is mica throughout falls in here by itself, whatever its colours.',
  translucent: 'What is translucent throughout falls in here by itself.',
  dark: 'What fits nowhere else falls in here by itself: for cores and backings.',
  none: 'Only what you put here is in it.',
} as const;

/** What is in a tub, and the colour that mixing it through gives. */
function Contents({ tub }: { readonly tub: TubAnswer }): ReactElement {
  const units = useUnits();
  return (
    <>
      {tub.hex !== null && (
        <Flex gap={4}>
          {[
            ['mixed through, raw', tub.rawHex],
            ['mixed through, baked', tub.hex],
          ].map(([words, hex]) => (
            <Box key={words}>
              <Box width="96px" height="64px" style={{ background: `#${hex ?? UNKNOWN_HEX}` }} />
              <Caption>{words}</Caption>
            </Box>
          ))}
        </Flex>
      )}
      <Box as="ul" aria-label="What is in the tub" fontSize="small">
        {tub.clays.map((c) => (
          <Flex as="li" key={c.clayId} justifyContent="space-between">
            <span>{c.name}</span>
            <span>{showMass(c.grams, units)}</span>
          </Flex>
        ))}
      </Box>
    </>
  );
}

function ThrowAll({ tub }: { readonly tub: TubAnswer }): ReactElement | null {
  if (tub.grams <= 0) return null;
  return (
    <Box fontSize="small">
      <Word
        onClick={() => {
          const entry = { entryId: crypto.randomUUID(), madeOn: today() };
          void change('POST', `/api/tubs/${tub.id}/emptied`, { version: tub.version, ...entry });
        }}
      >
        Throw all of it away
      </Word>
    </Box>
  );
}

/** The open tub: what it is called, where it stands, and what is in it. */
export function OneTub({ tub }: { readonly tub: TubAnswer }): ReactElement {
  const units = useUnits();
  const shelf = useShelf().data;
  const path = `/api/tubs/${tub.id}`;
  const refusal = useRefusal(path);
  const save = (part: Partial<TubAnswer>): void => {
    const { id, version, name, keptIn, takes } = { ...tub, ...part };
    void change('PUT', path, { id, version, name, keptIn, takes });
  };
  return (
    <>
      <div>
        <h2>
          <TextValue
            label="Name of the tub"
            value={tub.name}
            refusal={refusal?.sentenceFor('name')}
            onChange={(name) => {
              save({ name });
            }}
          />
        </h2>
        <Second>{FALLS[tub.rule]}</Second>
      </div>
      <Box>
        {showMass(tub.grams, units)}, kept in{' '}
        <TextValue
          label="Where the tub is kept"
          placeholder="where?"
          value={tub.keptIn}
          onChange={(keptIn) => {
            save({ keptIn });
          }}
        />
      </Box>
      <Contents tub={tub} />
      {shelf && (
        <>
          <TubRules
            tub={tub}
            shelf={shelf}
            onTakes={(takes) => {
              save({ takes });
            }}
          />
          <Stretch key={tub.id} tub={tub} shelf={shelf} />
        </>
      )}
      {tub.grams > 0 && <Cores grams={tub.grams} density={USUAL_DENSITY} slices={null} />}
      <Rule />
      <ThrowAll tub={tub} />
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
    </>
  );
}
