import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { RuleAnswer } from '#contract';
import { TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Second, Word } from '../../theme/pieces.js';
import { holdsWords, timeOf } from './copyWords.js';
import type { Copies } from './useCopies.js';

interface RuleProps {
  readonly rule: RuleAnswer;
  readonly shelf: Copies;
}

/** When the last whole one was made, and what is in it. */
function LastOne({ rule: { last, failed } }: Pick<RuleProps, 'rule'>): ReactElement {
  return (
    <>
      {last === null ? (
        <Second>None yet: the first one is kept a moment after the start.</Second>
      ) : (
        <Box>
          The last one that is whole: <b>{timeOf(last.at)}</b>, with {holdsWords(last.holds)}.
        </Box>
      )}
      {failed !== null && (
        <Warning>
          On {timeOf(failed.at)} none could be kept. {failed.why}
        </Warning>
      )}
    </>
  );
}

/** Copies that are kept without thinking of them, and where. */
export function ByRule({ rule, shelf }: RuleProps): ReactElement {
  return (
    <Box as="section" aria-label="Kept by rule">
      <Box as="h2" marginBottom={1}>
        By itself, once a day
      </Box>
      <Box>
        Each is looked through before it counts; of the last 7 days, 4 weeks and 12 months one stays. They lie in{' '}
        <TextValue
          label="Folder of the daily copies"
          value={rule.folder}
          refusal={shelf.wrongFolder ?? undefined}
          onChange={(folder) => {
            void shelf.chooseFolder(folder);
          }}
        />
      </Box>
      <LastOne rule={rule} />
      <Flex gap={4} fontSize="small">
        <Word
          disabled={shelf.busy !== null}
          onClick={() => {
            void shelf.keepByRule();
          }}
        >
          keep one now
        </Word>
        {rule.chosen && (
          <Word
            disabled={shelf.busy !== null}
            onClick={() => {
              void shelf.chooseFolder(null);
            }}
          >
            with the other copies again
          </Word>
        )}
      </Flex>
    </Box>
  );
}
