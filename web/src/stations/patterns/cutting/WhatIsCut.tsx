import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { cutterOf, plainCutter } from '#core/cutter';
import { CUT_AIMS, type CutAim } from '#core/pattern';
import { MOST_CUT_KINDS, MOST_PLACES, type PatternCutDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { CutterValue } from '../../../parts/cutters/CutterValue.js';
import { FromDrawer } from '../../../parts/cutters/FromDrawer.js';
import { readCount } from '../../../parts/readCount.js';
import { LengthValue, TextValue, Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Second, Word } from '../../../theme/pieces.js';
import type { Refused } from '../../../wire/ask.js';
import { AsLargeAsItGoes } from './AsLargeAsItGoes.js';
import { withCutter, type SheetsToCut } from './cutMoves.js';
import type { Cutting } from './useCutting.js';

const AIM_WORDS: Readonly<Record<CutAim, string>> = {
  variety: 'they differ most',
  contrast: 'each shows most',
  twins: 'two by two are alike',
};
const AIMS = CUT_AIMS.map((value) => ({ value, text: AIM_WORDS[value] }));
const USUAL_COUNT = 12;

interface WhatIsCutProps {
  readonly cutting: Cutting;
  readonly refusal: Refused | undefined;
}

/** The cutters that are used, each with its pieces. */
function Kinds({ cutting }: Pick<WhatIsCutProps, 'cutting'>): ReactElement | null {
  const { cuts, chosen, choose, add, remove } = cutting;
  return (
    <Flex gap={4} wrap="wrap" fontSize="small" alignItems="baseline">
      {cuts.length > 1 &&
        cuts.map((cut) => (
          <Word
            key={cut.id}
            fontWeight={cut.id === chosen.id ? 700 : 400}
            aria-pressed={cut.id === chosen.id}
            onClick={() => {
              choose(cut.id);
            }}
          >
            {cut.name}, {cut.places.length}
          </Word>
        ))}
      {cuts.length < MOST_CUT_KINDS && (
        <Word fontSize="small" onClick={add}>
          another cutter
        </Word>
      )}
      {(cuts.length > 1 || chosen.places.length > 0) && (
        <Word fontSize="small" onClick={remove}>
          leave {cuts.length > 1 ? chosen.name : 'these'} out
        </Word>
      )}
    </Flex>
  );
}

interface OfKindProps extends WhatIsCutProps {
  readonly cut: PatternCutDto;
}

/** Its name, its cutter, and the bridge between the pieces. */
function OfKind({ cut, cutting, refusal }: OfKindProps): ReactElement {
  const at = cutting.cuts.findIndex((c) => c.id === cut.id);
  return (
    <>
      <TextValue
        label="Name of the pieces"
        value={cut.name}
        refusal={refusal?.sentenceFor(`cuts.${at}.name`)}
        onChange={(name) => {
          cutting.change({ name });
        }}
      />
      , cut with{' '}
      <CutterValue
        label="Size of the cutter"
        cutter={cutterOf(cut)}
        refusal={refusal?.sentenceFor(`cuts.${at}.widthMm`)}
        onChange={(cutter) => {
          cutting.change(withCutter(plainCutter(cutter)));
        }}
      />
      , bridge{' '}
      <LengthValue
        label="Bridge between the pieces"
        value={cut.bridgeMm}
        refusal={refusal?.sentenceFor(`cuts.${at}.bridgeMm`)}
        onChange={(bridgeMm) => {
          cutting.change({ bridgeMm });
        }}
      />
    </>
  );
}

/** What is cut, with which cutter, and where Sledge looks for places. */
export function WhatIsCut({
  cutting,
  refusal,
  sheets,
}: WhatIsCutProps & { readonly sheets: SheetsToCut }): ReactElement {
  const { chosen, finding, told } = cutting;
  const [count, setCount] = useState(chosen.places.length > 0 ? chosen.places.length : USUAL_COUNT);
  const [aim, setAim] = useState<CutAim>('variety');
  return (
    <Box>
      <Kinds cutting={cutting} />
      <Box fontSize="body" lineHeight={1.8} marginTop={1}>
        <OfKind cut={chosen} cutting={cutting} refusal={refusal} />
      </Box>
      <FromDrawer
        cutter={cutterOf(chosen)}
        onChoose={(cutter) => {
          cutting.change(withCutter(plainCutter(cutter)));
        }}
      />
      <AsLargeAsItGoes cutting={cutting} sheets={sheets} />
      <Flex gap={3} alignItems="center" marginTop={2} wrap="wrap">
        <Box>
          Find{' '}
          <Value
            label="How many pieces"
            text={String(count)}
            read={readCount(1, MOST_PLACES, 'The number of pieces')}
            onChange={setCount}
          />{' '}
          places where <Choice label="What is looked for" value={aim} options={AIMS} onChange={setAim} />
        </Box>
        <Action main disabled={finding} onClick={() => void cutting.find(count, aim)}>
          {finding ? 'looking …' : 'Find them'}
        </Action>
      </Flex>
      <Box role="status" minHeight="22px">
        {told !== null && <Second>{told}</Second>}
      </Box>
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
    </Box>
  );
}
