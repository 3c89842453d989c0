import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement, RefObject } from 'react';
import { useKeyList } from '../state/keys.js';
import { Action, Key } from '../theme/pieces.js';

const Sheet = chakra('dialog', {
  base: {
    border: 'rule',
    borderTop: 'thick',
    background: 'paper',
    padding: 6,
    margin: 'auto',
    maxWidth: '760px',
    width: '90%',
    _backdrop: { background: 'rgba(20,20,20,0.35)' },
  },
});

function nameOf(key: string): string {
  if (key === ' ') return 'space';
  if (/^[A-Z]$/.test(key)) return `shift ${key}`;
  return /^[a-z]$/.test(key) ? key.toUpperCase() : key.replace('Arrow', 'arrow ');
}

/** All keys of what is on the screen. */
export function KeyList({ dialog }: { readonly dialog: RefObject<HTMLDialogElement | null> }): ReactElement {
  const places = useKeyList((s) => s.places);
  return (
    <Sheet ref={dialog} aria-label="Keys">
      <Flex justifyContent="space-between" alignItems="baseline" marginBottom={4}>
        <h1>Keys</h1>
        <Action
          autoFocus
          onClick={() => {
            dialog.current?.close();
          }}
        >
          Close
        </Action>
      </Flex>
      <Grid templateColumns="1fr 1fr" gap={6}>
        {places.map(({ place, bindings }) => (
          <Box key={place}>
            <Box as="h3" marginBottom={2}>
              {place}
            </Box>
            {bindings.map((b) => (
              <Flex key={b.key} gap={3} paddingY="2px">
                <Box width="72px" flex="none">
                  <Key>{nameOf(b.key)}</Key>
                </Box>
                {b.does}
              </Flex>
            ))}
          </Box>
        ))}
      </Grid>
    </Sheet>
  );
}
