import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useView } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { grey } from '../../theme/grey.js';

/** A bank card is so wide (ISO/IEC 7810, ID-1). */
const CARD_WIDTH = 85.6;

/** How large a millimetre is on this screen: a bar to be dragged until a bank card covers it. */
export function TrueScale(): ReactElement {
  const { pxPerMm, setPxPerMm } = useView();
  return (
    <Box marginTop={2} maxWidth="520px">
      <Box height="10px" background="ink" style={{ width: CARD_WIDTH * pxPerMm }} aria-hidden />
      <label>
        <input
          type="range"
          min={2.5}
          max={9}
          step={0.01}
          value={pxPerMm}
          onChange={(e) => {
            setPxPerMm(e.currentTarget.valueAsNumber);
          }}
          style={{ width: '100%', accentColor: grey.ink }}
          aria-label="How large a millimetre is on this screen"
          aria-valuetext={`${pxPerMm.toFixed(2)} px`}
        />
      </label>
      <Caption>
        Hold a bank card against the black bar and draw the slider until both are equally wide: then edges, discs and
        faces are at true size on this screen.
      </Caption>
    </Box>
  );
}
