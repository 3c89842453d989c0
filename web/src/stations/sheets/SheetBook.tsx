import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { cutterOfSize, mostOn, type Cutter } from '#core/cutter';
import { SHEET_FORMS, type MadeAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { CutterValue } from '../../parts/cutters/CutterValue.js';
import { FromDrawer } from '../../parts/cutters/FromDrawer.js';
import { LengthValue } from '../../parts/Value.js';
import { Word } from '../../theme/pieces.js';
import { useSheets } from '../../wire/queries.js';
import { MadeSheet } from './MadeSheet.js';
import { OneSheet } from './OneSheet.js';
import { SheetsHead } from './SheetsHead.js';
import { leftOfSheet } from './sheetWords.js';

interface Wanted {
  readonly cutter: Cutter;
  readonly bridge: number;
}

/** Sheets and plugs that were really made, what is left of them, and which pieces still fit. */
export default function SheetBook(): ReactElement {
  const sheets = useSheets();
  if (!sheets.data) return <Reading error={sheets.error} />;
  // lumps, canes and slices lie there too: they are on the shelf
  const inBook = sheets.data.filter((s) => SHEET_FORMS.includes(s.form));
  return inBook.length === 0 ? <NoSheet /> : <Book sheets={inBook} />;
}

function NoSheet(): ReactElement {
  const navigate = useNavigate();
  return (
    <Box padding={5}>
      <SheetsHead title="Sheet book" />
      <Empty
        title="No sheet in the book yet"
        action="Plan how to roll one"
        onAction={() => {
          void navigate('/sheets');
        }}
      >
        A sheet that is rolled at the bench, and a blend that is made there, lands here with its size and weight: then
        you see what is left of it, and which pieces still fit.
      </Empty>
    </Box>
  );
}

interface WantedWordsProps {
  readonly wanted: Wanted;
  readonly onChange: (wanted: Wanted) => void;
}

/** Which pieces are asked for. */
function WantedWords({ wanted, onChange }: WantedWordsProps): ReactElement {
  return (
    <Box fontSize="small" marginBottom={4}>
      Which still give pieces of{' '}
      <CutterValue
        label="Cutter of the pieces"
        cutter={wanted.cutter}
        onChange={(cutter) => {
          onChange({ ...wanted, cutter });
        }}
      />
      ,{' '}
      <LengthValue
        label="Clay between the pieces"
        value={wanted.bridge}
        onChange={(bridge) => {
          if (bridge >= 0) onChange({ ...wanted, bridge });
        }}
      />{' '}
      apart?
      <FromDrawer
        cutter={wanted.cutter}
        onChoose={(cutter) => {
          onChange({ ...wanted, cutter });
        }}
      />
    </Box>
  );
}

interface SheetsOfProps {
  readonly sheets: readonly MadeAnswer[];
  readonly chosen: MadeAnswer | undefined;
  /** how many of the wanted pieces a sheet gives; null where that is not asked */
  readonly fits: (sheet: MadeAnswer) => number | null;
}

/** Sheets beside each other; a click opens one. */
function SheetsOf({ sheets, chosen, fits }: SheetsOfProps): ReactElement {
  const navigate = useNavigate();
  return (
    <Flex wrap="wrap" gap={6} alignItems="flex-end">
      {sheets.map((s) => (
        <MadeSheet
          key={s.id}
          sheet={s}
          chosen={s === chosen}
          onChoose={() => {
            void navigate(`/sheets/book/${s.id}`);
          }}
          fits={fits(s)}
        />
      ))}
    </Flex>
  );
}

const notAsked = (): null => null;

/** Those that are used up, out of the way. */
function Gone(props: Omit<SheetsOfProps, 'fits'>): ReactElement | null {
  const [shown, setShown] = useState(false);
  if (props.sheets.length === 0) return null;
  return (
    <Flex direction="column" gap={3} marginTop={5}>
      <Word
        fontSize="small"
        alignSelf="flex-start"
        onClick={() => {
          setShown(!shown);
        }}
      >
        {shown ? 'Hide those that are used up' : `${props.sheets.length} used up`}
      </Word>
      {shown && <SheetsOf {...props} fits={notAsked} />}
    </Flex>
  );
}

function Book({ sheets }: { readonly sheets: readonly MadeAnswer[] }): ReactElement {
  const { sheetId } = useParams();
  const [wanted, setWanted] = useState<Wanted>({ cutter: cutterOfSize(18, null), bridge: 2 });
  const here = sheets.filter((s) => !s.gone);
  const chosen = sheets.find((s) => s.id === sheetId) ?? here[0];
  const plugs = here.filter((s) => s.form !== 'sheet');
  const { cutter } = wanted;
  const fits = (s: MadeAnswer): number =>
    mostOn(cutter, { width: s.widthMm, length: leftOfSheet(s).length, bridge: wanted.bridge });
  return (
    <Grid templateColumns="minmax(0, 1fr) 320px" height="100%" minHeight={0}>
      <Box padding={5} overflow="auto" minHeight={0} tabIndex={0} role="region" aria-label="Sheets in the book">
        <SheetsHead title="Sheet book" />
        <WantedWords wanted={wanted} onChange={setWanted} />
        <SheetsOf sheets={here.filter((s) => s.form === 'sheet')} chosen={chosen} fits={fits} />
        {plugs.length > 0 && (
          <>
            <Box as="h2" borderTop="rule" paddingTop={4} marginTop={5} marginBottom={3}>
              Plugs, ready for a cane
            </Box>
            <SheetsOf sheets={plugs} chosen={chosen} fits={notAsked} />
          </>
        )}
        <Gone sheets={sheets.filter((s) => s.gone)} chosen={chosen} />
      </Box>
      {chosen && <OneSheet key={chosen.id} sheet={chosen} cutter={cutter} bridge={wanted.bridge} />}
    </Grid>
  );
}
