import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useRouteError } from 'react-router';
import { faultOf } from '#core/units';
import { Action, Second } from '../theme/pieces.js';
import { saveFault } from './FaultBar.js';

/**
 * In place of a station that could not be shown. The stations beside it go on, and what waits to be saved is still
 * sent; to read the page anew keeps it too.
 */
export function ErrorPage(): ReactElement {
  const fault = faultOf('this page was shown', useRouteError());
  return (
    <Box padding={8} role="alert">
      <Box as="h1" fontFamily="heading" fontSize="h1" fontWeight={700}>
        This page could not be shown
      </Box>
      <Second marginTop={2} maxWidth="60ch">
        Something went wrong inside Sledge, not with what you made: all of that is kept, and what was on its way is
        still being saved. Show the page again, or go on at another station.
      </Second>
      <Flex gap={3} marginTop={5}>
        <Action
          main
          autoFocus
          onClick={() => {
            window.location.reload();
          }}
        >
          Show it again
        </Action>
        <Action
          onClick={() => {
            saveFault(fault);
          }}
        >
          Save what happened
        </Action>
      </Flex>
    </Box>
  );
}
