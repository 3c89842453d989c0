import type { TakenBy } from '#contract';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { Action, Word } from '../../theme/pieces.js';

interface MorePiecesProps {
  /** whether there is one of one's own */
  readonly machine: boolean;
  readonly onAdd: (of: TakenBy<'layer'>) => void;
}

/** Another kind of piece, as soon as there is a machine to roll it with. */
export function MorePieces({ machine, onAdd }: MorePiecesProps): ReactElement {
  const navigate = useNavigate();
  const [adding, setAdding] = useState(false);
  const begin = (): void => {
    setAdding(true);
  };
  useKeys('This batch', [{ key: 'a', does: 'Add a kind of piece', run: begin }]);
  if (!machine)
    return (
      <Warning>
        A machine comes first: its settings say how thick a sheet is.{' '}
        <Word
          onClick={() => {
            void navigate('/sheets');
          }}
        >
          Describe it
        </Word>
      </Warning>
    );
  if (!adding)
    return (
      <Action alignSelf="flex-start" onClick={begin}>
        Add a kind of piece
      </Action>
    );
  return (
    <MaterialPicker
      place="layer"
      label="What the new piece is cut from"
      onPick={({ of }) => {
        setAdding(false);
        onAdd(of);
      }}
      onCancel={() => {
        setAdding(false);
      }}
    />
  );
}
