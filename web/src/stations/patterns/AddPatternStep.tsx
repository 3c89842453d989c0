import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Form, PatternDo, PatternStep } from '#core/pattern';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { nextFor, stepTitle, viewOf } from './steps/index.js';

interface AddProps {
  readonly after: PatternStep | undefined;
  /** what there is by then; null where it cannot be done */
  readonly form: Form | null;
  /** whether there are canes to cut slices of */
  readonly canes: boolean;
  readonly onAdd: (kind: PatternDo) => void;
  readonly onCancel: () => void;
}

/** What hands can do next, by what it does. */
export function AddPatternStep({ after, form, canes, onAdd, onCancel }: AddProps): ReactElement {
  const units = useUnits();
  return (
    <Box
      background="tile"
      border="rule"
      padding={4}
      role="dialog"
      aria-label="What comes next"
      onKeyDown={(e) => {
        if (e.key !== 'Escape') return;
        e.stopPropagation();
        onCancel();
      }}
    >
      <Flex justifyContent="space-between" marginBottom={2}>
        <b>After {after ? stepTitle(after, units) : 'this'}</b>
        <Word onClick={onCancel}>leave it</Word>
      </Flex>
      {form === null && <Caption>This step cannot be done yet. Mend it first.</Caption>}
      {form !== null &&
        nextFor(form, canes).map(({ group, kinds }, g) => (
          <Flex key={group} gap={2} alignItems="baseline" marginTop={2}>
            <Box width="52px" flex="none">
              <Caption>{group}</Caption>
            </Box>
            <Flex gap={2} wrap="wrap">
              {kinds.map((kind, k) => (
                <Action
                  key={kind}
                  autoFocus={g === 0 && k === 0}
                  minHeight="32px"
                  paddingX={3}
                  onClick={() => {
                    onAdd(kind);
                  }}
                >
                  {viewOf(kind).word}
                </Action>
              ))}
            </Flex>
          </Flex>
        ))}
    </Box>
  );
}
