import { Box } from '@chakra-ui/react';
import { useEffect, type ReactElement } from 'react';
import type { PlainStep } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { CAUTIONS, cautionFor, useSaidCautions } from './cautions.js';

/** A caution where it applies first; after that it is not in the way any more. @param at the step, of all benches */
export function OnceCaution({ step, at }: { readonly step: PlainStep; readonly at: string }): ReactElement | null {
  const kind = cautionFor(step);
  const { at: said, say } = useSaidCautions();
  useEffect(() => {
    if (kind !== null) say(kind, at);
  }, [kind, at, say]);
  if (kind === null || (said[kind] !== undefined && said[kind] !== at)) return null;
  return (
    <Box fontSize="text" maxWidth="560px">
      <Warning>{CAUTIONS[kind]}</Warning>
    </Box>
  );
}
