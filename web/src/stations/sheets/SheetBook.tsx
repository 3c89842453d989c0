import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { cutterArea, cutterOf, mostOn, showCutter, type Cutter } from '#core/batch';
import { readSize, showArea, showLength, showMass, showSize } from '#core/units';
import type { SheetAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { CountValue, LengthValue, TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useTile } from '../../state/tile.js';
import { showDate } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Key, Rule, Second, Strip, Word } from '../../theme/pieces.js';
import { useSheets } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { MadeSheet } from './MadeSheet.js';
import { RollThinner } from './RollThinner.js';
import { SheetsHead } from './SheetsHead.js';
import { leftOfSheet, retyped, sentSheet } from './sheetWords.js';
import { WindUp } from './WindUp.js';

interface Wanted {
  readonly width: number;
  readonly height: number | null;
  readonly bridge: number;
}

/** Sheets and plugs that were really made, what is left of them, and which pieces still fit. */
export default function SheetBook(): ReactElement {
  const units = useUnits();
  const sheets = useSheets();
  const { sheetId } = useParams();
  const navigate = useNavigate();
  const [wanted, setWanted] = useState<Wanted>({ width: 18, height: null, bridge: 2 });
  const [shown, setShown] = useState(false);
  if (!sheets.data) return <Reading error={sheets.error} />;
  const here = sheets.data.filter((s) => !s.gone);
  const gone = sheets.data.filter((s) => s.gone);
  const chosen = sheets.data.find((s) => s.id === sheetId) ?? here[0];
  if (sheets.data.length === 0) {
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
  const cutter = cutterOf(wanted.width, wanted.height);
  const readCutter = (text: string): { width: number; height: number | null } => readSize(text, units);
  const plugs = here.filter((s) => s.form !== 'sheet');
  const open = (s: SheetAnswer): void => {
    void navigate(`/sheets/book/${s.id}`);
  };
  return (
    <Grid templateColumns="minmax(0, 1fr) 320px" height="100%" minHeight={0}>
      <Box padding={5} overflow="auto" minHeight={0} tabIndex={0} role="region" aria-label="Sheets in the book">
        <SheetsHead title="Sheet book" />
        <Box fontSize="small" marginBottom={4}>
          Which still give pieces of{' '}
          <Value
            label="Cutter of the pieces"
            text={showCutter(cutter, units)}
            read={readCutter}
            onChange={(size) => {
              setWanted({ ...wanted, ...size });
            }}
          />
          ,{' '}
          <LengthValue
            label="Clay between the pieces"
            value={wanted.bridge}
            onChange={(bridge) => {
              if (bridge >= 0) setWanted({ ...wanted, bridge });
            }}
          />{' '}
          apart?
        </Box>
        <Flex wrap="wrap" gap={6} alignItems="flex-end">
          {here
            .filter((s) => s.form === 'sheet')
            .map((s) => (
              <MadeSheet
                key={s.id}
                sheet={s}
                chosen={s === chosen}
                onChoose={() => {
                  open(s);
                }}
                fits={mostOn(cutter, { width: s.widthMm, length: leftOfSheet(s).length, bridge: wanted.bridge })}
              />
            ))}
        </Flex>
        {plugs.length > 0 && (
          <>
            <Box as="h2" borderTop="rule" paddingTop={4} marginTop={5} marginBottom={3}>
              Plugs, ready for a cane
            </Box>
            <Flex wrap="wrap" gap={6} alignItems="flex-end">
              {plugs.map((s) => (
                <MadeSheet
                  key={s.id}
                  sheet={s}
                  chosen={s === chosen}
                  onChoose={() => {
                    open(s);
                  }}
                  fits={null}
                />
              ))}
            </Flex>
          </>
        )}
        {gone.length > 0 && (
          <Box marginTop={5}>
            <Word
              fontSize="small"
              onClick={() => {
                setShown(!shown);
              }}
            >
              {shown ? 'Hide those that are used up' : `${gone.length} used up`}
            </Word>
          </Box>
        )}
        {shown && (
          <Flex wrap="wrap" gap={6} alignItems="flex-end" marginTop={3}>
            {gone.map((s) => (
              <MadeSheet
                key={s.id}
                sheet={s}
                chosen={s === chosen}
                onChoose={() => {
                  open(s);
                }}
                fits={null}
              />
            ))}
          </Flex>
        )}
      </Box>
      {chosen && <OneSheet key={chosen.id} sheet={chosen} cutter={cutter} bridge={wanted.bridge} />}
    </Grid>
  );
}

interface OneSheetProps {
  readonly sheet: SheetAnswer;
  readonly cutter: Cutter;
  readonly bridge: number;
}

/** The open sheet: what it is, what was cut from it, and what becomes of it. */
function OneSheet({ sheet, cutter, bridge }: OneSheetProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const carry = useTile((s) => s.put);
  const path = `/api/sheets/${sheet.id}`;
  const refusal = useRefusal(path);
  const [count, setCount] = useState(1);
  const save = (part: Partial<SheetAnswer>): void => {
    void change('PUT', path, { ...sentSheet(sheet), ...sentSheet({ ...sheet, ...part }) });
  };
  const put = (): void => {
    carry({
      kind: 'sheet',
      id: sheet.id,
      name: sheet.name,
      hexes: sheet.hexes,
      revisionId: sheet.of.kind === 'mix' ? sheet.of.id : null,
      form: sheet.form,
    });
  };
  useKeys('This sheet', [{ key: 'c', does: 'Carry it on the tile', run: put }]);
  const left = leftOfSheet(sheet);
  const fits = mostOn(cutter, { width: sheet.widthMm, length: left.length, bridge });
  const perArea = sheet.grams / (sheet.widthMm * sheet.lengthMm);
  const cut = (): void => {
    save({
      cuts: [
        ...sheet.cuts,
        {
          id: crypto.randomUUID(),
          name: '',
          shape: cutter.shape,
          widthMm: cutter.shape === 'round' ? cutter.diameter : cutter.width,
          heightMm: cutter.shape === 'round' ? null : cutter.height,
          count,
          bridgeMm: bridge,
        },
      ],
    });
  };
  const flat = sheet.form === 'sheet';
  return (
    <Strip aria-label="The open sheet">
      <div>
        <h2>
          <TextValue
            label="Name of the sheet"
            value={sheet.name}
            refusal={refusal?.sentenceFor('name')}
            onChange={(name) => {
              save({ name });
            }}
          />
        </h2>
        <Second>
          {sheet.blendId === null ? (
            sheet.ofName
          ) : (
            <Word
              onClick={() => {
                void navigate(`/blends/${sheet.blendId ?? ''}`);
              }}
            >
              {sheet.ofName}
            </Word>
          )}{' '}
          · made {showDate(sheet.madeOn)} ·{' '}
          <Word
            onClick={() => {
              void navigate(`/diary/${sheet.entryId}`);
            }}
          >
            in the diary
          </Word>
        </Second>
      </div>
      {flat ? (
        <Box lineHeight={1.6}>
          {sheet.layers > 1 ? `${sheet.layers} layers of ` : ''}
          <ThicknessValue
            label="Thickness of the sheet"
            value={sheet.mm}
            onChange={(mm) => {
              save(retyped(sheet, mm));
            }}
          />
          {sheet.rolledAt !== '' ? `, rolled at ${sheet.rolledAt}` : ''}
          <br />
          <LengthValue
            label="Width of the made sheet"
            value={sheet.widthMm}
            refusal={refusal?.sentenceFor('widthMm')}
            onChange={(widthMm) => {
              save({ widthMm });
            }}
          />{' '}
          ×{' '}
          <LengthValue
            label="Length of the made sheet"
            value={sheet.lengthMm}
            refusal={refusal?.sentenceFor('lengthMm')}
            onChange={(lengthMm) => {
              save({ lengthMm });
            }}
          />
          , {showMass(sheet.grams, units)}
          <br />
          <b>left: {showSize(sheet.widthMm, left.length, units)}</b>,{' '}
          {showMass(perArea * sheet.widthMm * left.length, units)}
        </Box>
      ) : (
        <Box lineHeight={1.6}>
          {sheet.form === 'plug' ? (
            <>
              <b>{showLength(sheet.widthMm, units)}</b> across, {showLength(sheet.lengthMm, units)} high
            </>
          ) : (
            <>
              <b>{showSize(sheet.widthMm, sheet.mm, units)}</b>, {showLength(sheet.lengthMm, units)} high
            </>
          )}
          , {showMass(sheet.grams, units)}
        </Box>
      )}
      {sheet.cuts.length > 0 && (
        <div>
          <Box as="h2" marginBottom={2}>
            Cut from it
          </Box>
          {sheet.cuts.map((c) => (
            <Box key={c.id} fontSize="small">
              {c.count} of {showCutter(cutterOf(c.widthMm, c.heightMm), units)} ·{' '}
              <Word
                onClick={() => {
                  save({ cuts: sheet.cuts.filter((x) => x.id !== c.id) });
                }}
              >
                not after all
              </Word>
            </Box>
          ))}
          <Second>
            {showArea(left.pieces, units)} of pieces, {showMass(perArea * left.scrap, units)} scrap between them
          </Second>
        </div>
      )}
      {flat && !sheet.gone && (
        <RollThinner
          sheet={sheet}
          onRolled={(made) => {
            void change('PUT', path, made);
          }}
        />
      )}
      {flat && !sheet.gone && (
        <div>
          <Box as="h2" marginBottom={2}>
            Cut pieces
          </Box>
          <CountValue
            label="How many were cut"
            value={count}
            onChange={(n) => {
              if (Number.isInteger(n) && n > 0) setCount(n);
            }}
          />{' '}
          of {showCutter(cutter, units)}{' '}
          <Action marginLeft={2} onClick={cut} disabled={fits === 0}>
            Cut
          </Action>
          <Caption display="block">
            {fits === 0
              ? 'none fits on what is left'
              : `${fits} still fit, ${showArea(fits * cutterArea(cutter), units)} of them`}
          </Caption>
          {refusal?.sentenceFor('cuts') !== undefined && <Warning>{refusal?.sentenceFor('cuts')}</Warning>}
        </div>
      )}
      {sheet.blendId !== null && flat && !sheet.gone && (
        <WindUp
          sheet={sheet}
          blendId={sheet.blendId}
          onWind={(made) => {
            void change('PUT', path, made);
          }}
        />
      )}
      {!flat && (
        <Box fontSize="small">
          Ready for a cane.{' '}
          <Word
            onClick={() => {
              put();
              void navigate('/canes');
            }}
          >
            Begin a cane with it
          </Word>
        </Box>
      )}
      <Rule />
      <Flex gap={4} wrap="wrap" fontSize="small">
        <Word onClick={put}>
          carry <Key>C</Key>
        </Word>
        <Word
          onClick={() => {
            save({ gone: !sheet.gone });
          }}
        >
          {sheet.gone ? 'It is still there' : 'Used up'}
        </Word>
      </Flex>
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
    </Strip>
  );
}
