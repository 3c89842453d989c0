import { Box, Grid } from '@chakra-ui/react';
import { Fragment, type ReactElement } from 'react';
import type { Step } from '#core/cane';
import { Slide } from '../../../parts/Slide.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { handleText, handlesOf } from '../steps/index.js';

/** The values of a step that change its face, to be dragged while one looks at it. */
export function ByHand({
  step,
  onSlide,
  onSet,
}: {
  readonly step: Step;
  readonly onSlide: (step: Step) => void;
  readonly onSet: (step: Step) => void;
}): ReactElement | null {
  const units = useUnits();
  const handles = handlesOf(step);
  if (handles.length === 0) return null;
  return (
    <Grid
      templateColumns="auto 190px auto"
      columnGap={3}
      rowGap={1}
      alignItems="center"
      justifyContent="start"
      marginTop={2}
      role="group"
      aria-label="By hand"
    >
      {handles.map((h) => (
        <Fragment key={h.label}>
          <Caption>{h.label}</Caption>
          <Slide
            label={`${h.label}, by hand`}
            text={handleText(h, h.value, units)}
            value={h.value}
            low={h.low}
            high={h.high}
            grain={h.grain}
            width="190px"
            onSlide={(v) => {
              onSlide(h.to(v));
            }}
            onSet={(v) => {
              onSet(h.to(v));
            }}
          />
          <Box fontSize="small">{handleText(h, h.value, units)}</Box>
        </Fragment>
      ))}
    </Grid>
  );
}
