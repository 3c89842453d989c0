import { Box, Grid } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { useNarrow } from '../state/useNarrow.js';
import { Strip } from '../theme/pieces.js';

interface WithStripProps {
  /** what one chooses from */
  readonly children: ReactNode;
  readonly strip: ReactNode;
  readonly label: string;
  /** what the left side is called, where it is scrolled with keys */
  readonly region?: string;
  /** something is chosen: a screen that is held shows that alone */
  readonly chosen: boolean;
  /** nothing is to be shown beside it */
  readonly alone?: boolean;
  /** the way back to what one chooses from, on a screen that is held */
  readonly back: ReactNode;
}

/** What one chooses from, and beside it the paper strip about the chosen; on a screen that is held, one of the two. */
export function WithStrip({
  children,
  strip,
  label,
  region,
  chosen,
  alone = false,
  back,
}: WithStripProps): ReactElement {
  const narrow = useNarrow();
  const [left, right] = narrow ? [!chosen, chosen] : [true, !alone];
  return (
    <Grid templateColumns={left && right ? 'minmax(0, 1fr) 300px' : 'minmax(0, 1fr)'} height="100%" minHeight={0}>
      <Box
        overflowY="auto"
        padding={narrow ? 4 : 5}
        minWidth={0}
        display={left ? 'block' : 'none'}
        {...(region === undefined ? {} : { tabIndex: 0, role: 'region', 'aria-label': region })}
      >
        {children}
      </Box>
      {right && (
        <Strip aria-label={label}>
          {narrow && back}
          {strip}
        </Strip>
      )}
    </Grid>
  );
}
