import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { massOf } from '#core/clay';
import { labOf, xyzOfHex } from '#core/colour';
import { READS_FROM, type Mosaic } from '#core/mosaic';
import { sentenceOf, showLength, showMass } from '#core/units';
import type { OvensAnswer } from '#contract';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import { useStock } from '../../../wire/queries.js';
import { smallestMosaic, useMosaicLook } from '../../../workers/mosaic.js';
import { coloured, hoursWords, labsOf, laidIn, shadeThreads, threadWords, traysOf } from './mosaicMoves.js';
import { lessThere, threadsThere } from './threadsThere.js';
import type { Matching } from './useMatching.js';
import type { OnMosaic } from './useMosaic.js';

interface StripProps {
  readonly on: OnMosaic;
  readonly matching: Matching;
  readonly mosaic: Mosaic;
  readonly ovens: OvensAnswer;
  readonly bedHex: string;
}

/** Threads of a tray where no oven is described: an assumption. */
const TRAY = { width: 150, length: 100 };
/** Density of the bed where nothing says what it is of: an assumption. */
const BED_DENSITY = 1.8;

/** The paper strip: threads to make, how long it takes, and whether it can be read. */
export function MosaicStrip(props: StripProps): ReactElement {
  const { on, mosaic } = props;
  const there = useStock().data;
  const needed = shadeThreads(mosaic, on.known, on.mosaic.lost);
  const rows = lessThere(needed, on.mosaic.shades, there ? threadsThere(there) : []);
  return (
    <Strip aria-label="Threads and how it reads">
      <Reads {...props} />
      <Rule />
      <Work {...props} rows={rows} />
      <Rule />
      <Shades {...props} rows={rows} />
    </Strip>
  );
}

function Reads({ on, mosaic, bedHex }: StripProps): ReactElement {
  const units = useUnits();
  const bed = labOf(xyzOfHex(bedHex));
  const labs = labsOf(on.mosaic);
  const thread = Math.max(...on.mosaic.diameters);
  const look = useMosaicLook(on.wish, on.plan.fresh ? coloured(mosaic, labs) : null, bed, thread);
  const [smallest, setSmallest] = useState<string | null>(null);
  const find = async (): Promise<void> => {
    if (!on.wish) return;
    setSmallest('looking …');
    try {
      const mm = await smallestMosaic(on.wish, bed);
      setSmallest(
        mm === null
          ? 'With these threads it reads at no size that was tried.'
          : `It reads from ${showLength(mm, units)} wide on.`,
      );
    } catch (error) {
      setSmallest(sentenceOf(error));
    }
  };
  return (
    <div>
      <Box as="h2">From 30 cm</Box>
      {look ? (
        <Box>
          {look.reads >= READS_FROM ? 'It reads: ' : 'It hardly reads: '}
          <b>{Math.round(100 * Math.max(0, look.reads))} %</b> of what the picture shows is left
        </Box>
      ) : (
        <Second>looking …</Second>
      )}
      {look && (
        <Second display="block">
          ΔE {look.off.toFixed(1)} on the middle beside the blurred picture; {Math.round(100 * mosaic.cover)} % of the
          bezel is covered
        </Second>
      )}
      <Word fontSize="small" onClick={() => void find()}>
        the smallest bezel at which it reads
      </Word>
      {smallest !== null && <Box role="status">{smallest}</Box>}
    </div>
  );
}

interface RowsProps extends StripProps {
  readonly rows: ReturnType<typeof lessThere>;
}

const trayWords = (trays: number): string => (trays === 1 ? 'one tray' : `${trays} trays`);

function Work({ on, mosaic, ovens, rows }: RowsProps): ReactElement {
  const units = useUnits();
  const [oven] = ovens;
  const tray = oven ? { width: oven.trayWidthMm, length: oven.trayLengthMm } : TRAY;
  const { threads, trays } = traysOf(rows, tray);
  const metres = rows.reduce((sum, r) => sum + r.length, 0);
  const have = rows.reduce((sum, r) => sum + r.there, 0);
  const laid = laidIn(mosaic, on.mosaic.done);
  const whole = mosaic.tesserae.length;
  const thread = `${threadWords(metres, units)} of thread`;
  const lost = `${Math.round(100 * on.mosaic.lost)} %`;
  return (
    <div>
      <Box as="h2">To make and to lay</Box>
      <Box>
        <b>{whole.toLocaleString('en')}</b> tesserae, {hoursWords(whole, on.mosaic.pace)} to lay
      </Box>
      {laid > 0 && (
        <Box>
          {laid.toLocaleString('en')} are laid; {hoursWords(whole - laid, on.mosaic.pace)} to go
        </Box>
      )}
      <Second display="block">
        {thread}, {lost} of it for what is lost: {threads} threads as long as{' '}
        {oven ? `the tray of ${oven.name}` : 'a tray of 10 cm (~ assumed)'}, on {trayWords(trays)}, a thread’s width
        apart
      </Second>
      {have > 0 && <Box>{threadWords(have, units)} lie there already, and are used first</Box>}
      <Second display="block">
        bed of {showMass(massOf(mosaic.area * on.mosaic.bed, BED_DENSITY), units)} (~ {BED_DENSITY} g/cm³ assumed)
      </Second>
    </div>
  );
}

function Shades({ on, matching, rows }: RowsProps): ReactElement {
  const units = useUnits();
  const open = on.mosaic.shades.filter((s) => s.of === undefined).length;
  return (
    <div>
      <Box as="h2">Threads by shade</Box>
      {open > 0 && (
        <Box marginBottom={2}>
          <Action disabled={matching.looking} onClick={matching.begin}>
            Find mixes for {open} shades
          </Action>
          {matching.looking && (
            <Caption display="block" role="status">
              {matching.found} of {open} found
            </Caption>
          )}
        </Box>
      )}
      {matching.wrong !== null && <Warning>{matching.wrong}</Warning>}
      <Box as="ul" aria-label="Threads by shade" fontSize="small">
        {rows.map((row) => (
          <Flex as="li" key={row.shade} gap={2} alignItems="baseline">
            <Box width="14px" height="14px" flex="none" style={{ background: `#${row.hex}` }} />
            <Box flex={1}>
              {row.shade + 1} {row.mixId === null ? row.name : <Link to={`/mixes/${row.mixId}`}>{row.name}</Link>}
            </Box>
            <Box textAlign="right">
              {row.count} · {threadWords(row.length, units)}
              {row.grams !== null && ` · ${showMass(row.grams, units)}`}
            </Box>
          </Flex>
        ))}
      </Box>
    </div>
  );
}
