import type { ReactElement } from 'react';
import type { Strength } from '#core/stock';
import { showMass } from '#core/units';
import type { PieceDto, TakenBy } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';
import { useShelf, useStock } from '../../wire/queries.js';
import { brittleOffers } from './brittleOffers.js';
import { snapWords } from './pieceWords.js';

interface InWearProps {
  readonly piece: PieceDto;
  readonly strength: Strength;
  readonly disabled: boolean;
  readonly onLayers: (layers: PieceDto['layers']) => void;
}

/** Whether a piece will hold in wear: what would help a weak one, and what a strong one can carry. */
export function InWear({ piece, strength, disabled, onLayers }: InWearProps): ReactElement | null {
  const units = useUnits();
  if (strength.snaps) return <Warning>{snapWords(strength, units)}</Warning>;
  if (disabled) return null;
  return (
    <BrittleOffers
      piece={piece}
      strength={strength}
      onUnder={(of) => {
        const settingId = piece.layers[0]?.settingId ?? '';
        onLayers([{ id: crypto.randomUUID(), of, settingId }, ...piece.layers]);
      }}
    />
  );
}

interface BrittleOffersProps {
  readonly piece: PieceDto;
  readonly strength: Strength;
  readonly onUnder: (of: TakenBy<'layer'>) => void;
}

/** A thick piece is where left-overs of brittle lines are safe. */
function BrittleOffers({ piece, strength, onUnder }: BrittleOffersProps): ReactElement | null {
  const units = useUnits();
  const [stock, shelf] = [useStock().data, useShelf().data];
  if (!stock || !shelf) return null;
  const offers = brittleOffers(piece, strength, stock, shelf);
  if (offers.length === 0) return null;
  return (
    <Second>
      Thick enough for a brittle left-over underneath:{' '}
      {offers.map(({ of, name, grams }, i) => (
        <span key={of.id}>
          {i > 0 && ', '}
          <Word
            fontSize="small"
            onClick={() => {
              onUnder(of);
            }}
          >
            {name}, {showMass(grams, units)}
          </Word>
        </span>
      ))}
    </Second>
  );
}
