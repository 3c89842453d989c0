import { Flex } from '@chakra-ui/react';
import type { AssemblyDto, TakenBy } from '#contract';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { AddAssembled } from './assembled/AddAssembled.js';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { Action, Word } from '../../theme/pieces.js';

interface MorePiecesProps {
  /** whether there is one of one's own */
  readonly machine: boolean;
  readonly onAdd: (of: TakenBy<'layer'>) => void;
  readonly onAssembled: (assembly: AssemblyDto) => void;
}

/** Another kind of piece, as soon as there is a machine to roll it with. */
export function MorePieces({ machine, onAdd, onAssembled }: MorePiecesProps): ReactElement {
  const navigate = useNavigate();
  const [adding, setAdding] = useState<'cut' | 'assembled' | null>(null);
  const begin = (): void => {
    setAdding('cut');
  };
  const beginAssembled = (): void => {
    setAdding('assembled');
  };
  const end = (): void => {
    setAdding(null);
  };
  useKeys('This batch', [
    { key: 'a', does: 'Add a kind of piece', run: begin },
    { key: 'p', does: 'Add a piece of many parts', run: beginAssembled },
  ]);
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
  if (adding === null)
    return (
      <Flex gap={2} wrap="wrap">
        <Action onClick={begin}>Add a kind of piece</Action>
        <Action onClick={beginAssembled}>A piece of many parts</Action>
      </Flex>
    );
  if (adding === 'assembled')
    return (
      <AddAssembled
        onAdd={(assembly) => {
          end();
          onAssembled(assembly);
        }}
        onCancel={end}
      />
    );
  return (
    <MaterialPicker
      place="layer"
      label="What the new piece is cut from"
      onPick={({ of }) => {
        end();
        onAdd(of);
      }}
      onCancel={end}
    />
  );
}
