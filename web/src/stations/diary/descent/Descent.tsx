import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { sentenceOf } from '#core/units';
import type { DescentAnswer } from '#contract/diary';
import { Reading } from '../../../parts/Empty.js';
import { sourceOf } from '../../../parts/openPhotograph.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { useUnits } from '../../../state/view.js';
import { Action } from '../../../theme/pieces.js';
import { useDescent } from '../../../wire/queries.js';
import { DescentPage } from './DescentPage.js';
import { keepPage } from './keepPage.js';

const print = (): void => {
  window.print();
};

/** On paper, or as a file of its own. */
function Ways({ descent }: { readonly descent: DescentAnswer }): ReactElement {
  const units = useUnits();
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async (): Promise<void> => {
    setWrong(null);
    try {
      await keepPage(descent, units);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <Flex gap={4} alignItems="baseline" wrap="wrap" css={{ '@media print': { display: 'none' } }}>
      <Link to={`/diary/${descent.made[0]?.entry.id ?? ''}`}>back to its entry</Link>
      <Action main onClick={print}>
        Print it
      </Action>
      <Action
        onClick={() => {
          void keep();
        }}
      >
        Keep it as a page
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Flex>
  );
}

/** The card of what was made: from the blocks to the bake. */
export default function Descent(): ReactElement {
  const { entryId = '' } = useParams();
  const { data, error } = useDescent(entryId);
  const units = useUnits();
  useKeys('Diary', [{ key: 'p', does: 'Print the card of what was made', run: print }]);
  if (!data) return <Reading error={error} />;
  return (
    <Flex
      direction="column"
      gap={4}
      padding={5}
      height="100%"
      overflowY="auto"
      css={{ '@media print': { display: 'block', padding: 0, height: 'auto', overflow: 'visible' } }}
    >
      <Ways descent={data} />
      <Box alignSelf="flex-start" width="100%" maxWidth="780px">
        <DescentPage descent={data} units={units} sourceOf={sourceOf} />
      </Box>
    </Flex>
  );
}
