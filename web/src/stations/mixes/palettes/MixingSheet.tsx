import { Global } from '@emotion/react';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { ControlLine } from '../../../parts/ControlLine.js';
import { Caption } from '../../../theme/pieces.js';
import { useUnits, useView } from '../../../state/view.js';
import { PAPER_SIZE } from '../../../parts/paper.js';
import { showMass } from '#core/units';
import type { Matched } from './matched.js';
import { grey } from '../../../theme/grey.js';

interface MixingSheetProps {
  readonly name: string;
  readonly pictureId: string | null;
  readonly rows: readonly Matched[];
  readonly clays: readonly {
    readonly clayId: string;
    readonly name: string;
    readonly hex: string;
    readonly grams: number;
    readonly short: number;
  }[];
}

/** Its name, and the picture it was taken from. */
function Head({ name, pictureId }: Pick<MixingSheetProps, 'name' | 'pictureId'>): ReactElement {
  return (
    <Flex
      gap="5mm"
      borderBottom={`2pt solid ${grey.black}`}
      paddingBottom="2mm"
      marginBottom="3mm"
      alignItems="flex-end"
      justifyContent="space-between"
    >
      <Box as="h1" fontSize="15pt">
        {name}
      </Box>
      {pictureId !== null && (
        <img
          src={`/api/pictures/${pictureId}`}
          alt=""
          style={{ height: '22mm', maxWidth: '50mm', objectFit: 'contain' }}
        />
      )}
    </Flex>
  );
}

/** One colour: a box to tick, what was asked for, its mix. */
function OneRow({ row }: { readonly row: Matched }): ReactElement {
  const units = useUnits();
  return (
    <Flex
      as="li"
      gap="3mm"
      paddingY="1.4mm"
      borderBottom={`0.4pt solid ${grey.hairline}`}
      css={{ breakInside: 'avoid' }}
      alignItems="center"
    >
      <Box width="4mm" height="4mm" border={`0.8pt solid ${grey.black}`} flex="none" />
      <Flex width="22mm" height="11mm" flex="none" border={`0.4pt solid ${grey.black}`}>
        <Box flex={1} style={{ background: `#${row.hex}` }} />
        <Box flex={1} style={{ background: `#${row.mixHex ?? row.hex}` }} />
      </Flex>
      <Box flex={1} minWidth={0}>
        <b>{row.notation ?? 'no mix of these clays'}</b>
        {row.name === '' ? '' : ` · ${row.name}`}
        <br />
        {row.perClay.map((c) => `${showMass(c.grams, units)} ${c.name}`).join(' + ')}
      </Box>
      <Box textAlign="right" whiteSpace="nowrap">
        <b>{showMass(row.grams, units)}</b>
        <br />
        {row.deltaE === null ? '' : `ΔE ${row.deltaE.toFixed(1)}`}
      </Box>
    </Flex>
  );
}

/** The clay for all of them. */
function ClayForAll({ clays }: Pick<MixingSheetProps, 'clays'>): ReactElement {
  const units = useUnits();
  return (
    <Box css={{ breakInside: 'avoid' }} marginTop="4mm">
      <Box as="h2" fontSize="11pt" marginBottom="1mm">
        Clay for all of them
      </Box>
      {clays.map((c) => (
        <Flex key={c.clayId} justifyContent="space-between" maxWidth="90mm">
          <span>{c.name}</span>
          <span>
            {showMass(c.grams, units)}
            {c.short > 0 ? `, ${showMass(c.short, units)} short` : ''}
          </span>
        </Flex>
      ))}
    </Box>
  );
}

/** The palette on paper: what to mix for each colour, how much of it, and the clay for all of them. */
export function MixingSheet({ name, pictureId, rows, clays }: MixingSheetProps): ReactElement {
  const paper = useView((s) => s.paper);
  return (
    <Box
      data-paper
      display="none"
      css={{ '@media print': { display: 'block', printColorAdjust: 'exact' } }}
      color={grey.black}
      background={grey.tile}
      fontSize="9.5pt"
      lineHeight={1.35}
    >
      <Global styles={{ '@page': { size: PAPER_SIZE[paper], margin: '11mm' } }} />
      <Head name={name} pictureId={pictureId} />
      <ol>
        {rows.map((row) => (
          <OneRow key={row.id} row={row} />
        ))}
      </ol>
      <ClayForAll clays={clays} />
      <Caption>Left what was asked for, right what the mix is predicted to be.</Caption>
      <ControlLine />
    </Box>
  );
}
