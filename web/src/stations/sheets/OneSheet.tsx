import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { type Cutter } from '#core/cutter';
import { showLength, showMass, showSize } from '#core/units';
import type { MadeAnswer } from '#contract';
import { ThicknessValue } from '../../parts/Thickness.js';
import { LengthValue, TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useTile } from '../../state/tile.js';
import { showDate } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Key, Rule, Second, Strip, Word } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { RollThinner } from './RollThinner.js';
import { carriedSheet, gramsPerArea, leftOfSheet, retyped, sentSheet } from './sheetWords.js';
import { CutPieces, Cuts, type CutPiecesProps, type SheetProps } from './CutFromSheet.js';
import { WindUp } from './WindUp.js';

/** Its name, what it was made of, and when. */
function Head({ sheet, refusal, save }: SheetProps): ReactElement {
  const navigate = useNavigate();
  return (
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
  );
}

/** How thick and how large it is; each can be measured again. */
function Flat({ sheet, left, refusal, save }: SheetProps): ReactElement {
  const units = useUnits();
  return (
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
      {showMass(gramsPerArea(sheet) * sheet.widthMm * left.length, units)}
    </Box>
  );
}

/** How large a plug is. */
function Plug({ sheet }: { readonly sheet: MadeAnswer }): ReactElement {
  const units = useUnits();
  return (
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
  );
}

/** What else becomes of a flat sheet: rolled thinner, cut, wound up. */
function OnTheTable(props: CutPiecesProps & { readonly path: string }): ReactElement {
  const { sheet, path } = props;
  const made = (next: object): void => {
    void change('PUT', path, next);
  };
  return (
    <>
      <RollThinner sheet={sheet} onRolled={made} />
      <CutPieces {...props} />
      {sheet.blendId !== null && <WindUp sheet={sheet} blendId={sheet.blendId} onWind={made} />}
    </>
  );
}

interface OneSheetProps {
  readonly sheet: MadeAnswer;
  readonly cutter: Cutter;
  readonly bridge: number;
}

/** The open sheet: what it is, what was cut from it, and what becomes of it. */
export function OneSheet({ sheet, cutter, bridge }: OneSheetProps): ReactElement {
  const navigate = useNavigate();
  const carry = useTile((s) => s.put);
  const path = `/api/sheets/${sheet.id}`;
  const refusal = useRefusal(path);
  const save = (part: Partial<MadeAnswer>): void => {
    void change('PUT', path, { ...sentSheet(sheet), ...sentSheet({ ...sheet, ...part }) });
  };
  const put = (): void => {
    carry(carriedSheet(sheet));
  };
  useKeys('This sheet', [{ key: 'c', does: 'Carry it on the tile', run: put }]);
  const flat = sheet.form === 'sheet';
  const left = useMemo(() => leftOfSheet(sheet), [sheet]);
  const own = { sheet, left, refusal, save };
  return (
    <Strip aria-label="The open sheet">
      <Head {...own} />
      {flat ? <Flat {...own} /> : <Plug sheet={sheet} />}
      <Cuts {...own} />
      {flat && !sheet.gone && <OnTheTable {...own} cutter={cutter} bridge={bridge} path={path} />}
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
