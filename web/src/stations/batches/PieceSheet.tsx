import type { ReactElement } from 'react';
import { readSize, showSize } from '#core/units';
import type { PieceDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { LIE_OPTIONS, mostContrast } from '../../parts/cutters/lies.js';
import { LengthValue, Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';

/** What is typed about a piece: its values, whether they can be changed, and what is wrong with one. */
export interface FieldsProps {
  readonly piece: PieceDto;
  readonly disabled: boolean;
  readonly says: (field: string) => string | undefined;
  readonly set: (part: Partial<PieceDto>) => void;
}

/** The edge that a cutter leaves, and whether pieces are mirrored. */
const EDGES = [
  { value: 'bare', text: 'bare: a sharp edge' },
  { value: 'film', text: 'through film: a rounded edge' },
] as const;
const SIDES = [
  { value: 'alike', text: 'all alike' },
  { value: 'pairs', text: 'left and right in pairs' },
] as const;

/** How far apart the cuts are, and how large a sheet may be. */
export function OnTheSheet({ piece, disabled, says, set }: FieldsProps): ReactElement {
  const units = useUnits();
  return (
    <Second>
      bridge{' '}
      <LengthValue
        label="Bridge of clay between cuts"
        value={piece.bridgeMm}
        disabled={disabled}
        refusal={says('bridgeMm')}
        onChange={(bridgeMm) => {
          set({ bridgeMm });
        }}
      />
      , ragged edges{' '}
      <LengthValue
        label="Ragged edge of the sheets"
        value={piece.edgeMm ?? 0}
        disabled={disabled}
        refusal={says('edgeMm')}
        onChange={(edgeMm) => {
          set({ edgeMm });
        }}
      />
      , sheets at most{' '}
      <Value
        label="Largest sheet"
        text={showSize(piece.sheetWidthMm, piece.sheetLengthMm, units)}
        disabled={disabled}
        refusal={says('sheetWidthMm') ?? says('sheetLengthMm')}
        read={(text) => readSize(text, units)}
        onChange={({ width, height }) => {
          set({ sheetWidthMm: width, sheetLengthMm: height ?? width });
        }}
      />
      , cut{' '}
      <Choice
        label="With film or bare"
        value={piece.film === true ? 'film' : 'bare'}
        disabled={disabled}
        options={EDGES}
        onChange={(edge) => {
          set({ film: edge === 'film' });
        }}
      />
      ,{' '}
      <Choice
        label="All alike or left and right"
        value={piece.pairs === true ? 'pairs' : 'alike'}
        disabled={disabled}
        options={SIDES}
        onChange={(sides) => {
          set({ pairs: sides === 'pairs' });
        }}
      />
    </Second>
  );
}

/** On a patterned sheet each piece has its place; or they are laid out after all. */
export function WhereTheyWerePut({ piece, disabled, set }: FieldsProps): ReactElement {
  const there = piece.placed?.places.length ?? 0;
  return (
    <Second>
      {there} {there === 1 ? 'place' : 'places'} on the patterned sheet{piece.film === true ? ', cut through film' : ''}
      {!disabled && (
        <>
          {' · '}
          <Word
            fontSize="small"
            onClick={() => {
              set({ placed: null });
            }}
          >
            lay them out instead
          </Word>
        </>
      )}
    </Second>
  );
}

/** Which way round pieces lie on a sheet with a fade. */
export function OnTheFade({ piece, disabled, set }: FieldsProps): ReactElement {
  const most = mostContrast(piece);
  return (
    <Second>
      on the fade{' '}
      <Choice
        label="How the pieces lie on the fade"
        value={piece.lie ?? 'close'}
        options={LIE_OPTIONS}
        disabled={disabled}
        onChange={(lie) => {
          set({ lie });
        }}
      />
      {!disabled && piece.lie !== most && (
        <>
          {' · '}
          <Word
            fontSize="small"
            onClick={() => {
              set({ lie: most });
            }}
          >
            most contrast in each
          </Word>
        </>
      )}
    </Second>
  );
}
