import { Box, Flex, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Caption } from '../../theme/pieces.js';
import type { Finding } from './useFinding.js';
const ClayRole = chakra('button', {
  base: {
    width: '74px',
    textAlign: 'center',
    padding: '4px 2px',
    border: '1px solid transparent',
    _hover: { borderColor: 'hairline' },
    '&&&[data-role=must]': { borderColor: 'ink', borderBottomWidth: '5px' },
    '&[data-role=not]': { opacity: 0.45 },
  },
});

interface ClayRolesProps {
  readonly finding: Finding;
}

/** What each clay may do in the search. */
export function ClayRoles({ finding }: ClayRolesProps): ReactElement {
  const { role, turn, usable } = finding;

  return (
    <Box borderTop="rule" paddingTop={4}>
      <Flex alignItems="baseline" gap={4} marginBottom={2}>
        <h2>Clays</h2>
        <Caption>a click: may be in, must be in, not at all</Caption>
      </Flex>
      <Flex wrap="wrap" gap={1}>
        {usable.map((c) => (
          <ClayRole
            key={c.id}
            data-role={role(c.id)}
            aria-label={`${c.name}: ${role(c.id)} be in`}
            onClick={() => {
              turn(c.id);
            }}
          >
            <Box
              width="40px"
              height="40px"
              borderRadius="50%"
              margin="0 auto 3px"
              style={{ background: `#${c.bakedHex}` }}
            />
            <Box fontSize="caption" fontWeight={600} lineHeight={1.2}>
              {c.name}
            </Box>
            <Caption>{role(c.id)}</Caption>
          </ClayRole>
        ))}
      </Flex>
    </Box>
  );
}
