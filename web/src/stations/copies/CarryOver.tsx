import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Warning } from '../../parts/Warning.js';
import { carriedPath } from '../../parts/carried.js';
import { Action } from '../../theme/pieces.js';
import { ComingThings, KINDS } from './ComingThings.js';
import { useCarry, type Asked } from './useCarry.js';

/** What somebody wants to carry over, as the address says it. */
function askedIn(search: URLSearchParams): Asked | null {
  const [name, kind, id] = ['from', 'kind', 'id'].map((key) => search.get(key));
  if (name == null || id == null || kind == null || !(kind in KINDS)) return null;
  return { name, kind: kind as Asked['kind'], id };
}

/** One thing out of a copy: what would come, and then it is done. */
export function CarryOver(): ReactElement | null {
  const [search] = useSearchParams();
  const asked = askedIn(search);
  return asked ? <Carry key={`${asked.name} ${asked.id}`} asked={asked} /> : null;
}

function Carry({ asked }: { readonly asked: Asked }): ReactElement {
  const navigate = useNavigate();
  const { things, wrong, busy, done, carry } = useCarry(asked);
  const leave = (): void => {
    void navigate('/copies', { replace: true });
  };
  return (
    <Box
      as="section"
      aria-label="Carry over"
      border="rule"
      borderTop="thick"
      background="paper"
      padding={4}
      aria-busy={busy}
    >
      <Box as="h2" marginBottom={1}>
        {done ? 'Carried over' : `Carry this ${KINDS[asked.kind]} over?`}
      </Box>
      {wrong !== null && <Warning>{wrong}</Warning>}
      {things === null && wrong === null && <Box>Looking through the copy …</Box>}
      {things?.length === 0 && <Box>All of it is here already, just as it was in “{asked.name}”.</Box>}
      {things !== null && <ComingThings things={things} />}
      <Flex gap={3} alignItems="baseline">
        {things !== null && things.length > 0 && !done && (
          <Action
            main
            autoFocus
            disabled={busy}
            onClick={() => {
              void carry();
            }}
          >
            Carry it over
          </Action>
        )}
        {done && <Link to={carriedPath(asked.kind)}>look at it</Link>}
        <Action onClick={leave}>{done ? 'That is all' : 'Leave it'}</Action>
      </Flex>
    </Box>
  );
}
