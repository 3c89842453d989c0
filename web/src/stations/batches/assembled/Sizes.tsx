import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { PieceDocument, Size } from '#core/piece';
import { asPositive } from '../../../parts/asPositive.js';
import { CountValue, LengthValue, TextValue } from '../../../parts/Value.js';
import { Second, Word } from '../../../theme/pieces.js';
import { withNewSize, withSize } from './assemblyMoves.js';

interface SizesProps {
  readonly piece: PieceDocument;
  readonly disabled: boolean;
  readonly onPiece: (piece: PieceDocument) => void;
}

function OneSize({
  size,
  disabled,
  onSize,
}: {
  readonly size: Size;
  readonly disabled: boolean;
  readonly onSize: (size: Size) => void;
}): ReactElement {
  const put = (value: number): void => {
    onSize({ ...size, value: asPositive(`The size “${size.name}”`, value) });
  };
  const field = { label: `Size ${size.name}`, value: size.value, disabled, onChange: put };
  return (
    <span>
      <TextValue
        label={`Name of the size ${size.name}`}
        value={size.name}
        disabled={disabled}
        onChange={(name) => {
          if (name !== '') onSize({ ...size, name });
        }}
      />{' '}
      <b>{size.unit === 'mm' ? <LengthValue {...field} /> : <CountValue {...field} />}</b>
    </span>
  );
}

/** The sizes that parts follow: one number makes the whole piece larger, or gives it more petals. */
export function Sizes({ piece, disabled, onPiece }: SizesProps): ReactElement {
  return (
    <Flex gap={4} wrap="wrap" alignItems="baseline" role="group" aria-label="Sizes that parts follow">
      {piece.sizes.map((size) => (
        <OneSize
          key={size.id}
          size={size}
          disabled={disabled}
          onSize={(next) => {
            onPiece(withSize(piece, next));
          }}
        />
      ))}
      {!disabled && (
        <Second>
          <Word
            fontSize="small"
            onClick={() => {
              onPiece(withNewSize(piece));
            }}
          >
            a size that parts follow
          </Word>
        </Second>
      )}
    </Flex>
  );
}
