import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { PIECE_MODELS, PIECE_VERSION, type PieceDocument } from '#core/piece';
import type { AssemblyDto, PieceModelDto } from '#contract';
import { drawnPiece } from '../../../parts/pieces/drawn.js';
import { PieceAbove } from '../../../parts/pieces/PieceAbove.js';
import { SendIt } from '../../../parts/SendIt.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { usePieceModels } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import { assemblyOf, fromModel, fromOwn } from './assemblyMoves.js';
import { useInLikeness } from './inLikeness.js';
import { pieceCard } from './pieceCard.js';

interface ModelProps {
  readonly name: string;
  readonly about: string;
  readonly piece: PieceDocument;
  readonly onChoose: () => void;
}

/** px of the picture of a model. */
const PICTURE = 96;

/** One piece to begin with. */
function Model({ name, about, piece, onChoose }: ModelProps): ReactElement {
  const { settled } = useMemo(() => drawnPiece(piece), [piece]);
  const scale = settled ? PICTURE / Math.max(settled.extent.width, settled.extent.height) : 1;
  return (
    <Flex
      as="button"
      direction="column"
      alignItems="center"
      width="140px"
      padding={2}
      gap={1}
      aria-label={`Begin with ${name}`}
      _hover={{ background: 'tile' }}
      onClick={onChoose}
    >
      <Flex height="104px" alignItems="center">
        {settled && <PieceAbove piece={settled} hexesOf={() => []} label={name} scale={scale} />}
      </Flex>
      <b>{name}</b>
      <Caption>{about}</Caption>
    </Flex>
  );
}

/** A piece that was kept, and the way to let it go. */
function OwnModel({ model, onChoose }: { readonly model: PieceModelDto; readonly onChoose: () => void }): ReactElement {
  const { id, version, name, piece } = model;
  const units = useUnits();
  return (
    <div>
      <Model name={name} about="one of yours" piece={piece} onChoose={onChoose} />
      <Box fontSize="small" marginLeft={2}>
        <SendIt kind="pieceModel" id={id} card={() => pieceCard(model, units)} />{' '}
        <Word
          onClick={() => {
            void change('DELETE', `/api/pieces/models/${id}?version=${version}`);
          }}
        >
          take {name} away
        </Word>
      </Box>
    </div>
  );
}

/** Pieces to begin with: those one has kept, those of the garden, or none. */
export function AddAssembled({
  onAdd,
  onCancel,
}: {
  readonly onAdd: (assembly: AssemblyDto) => void;
  readonly onCancel: () => void;
}): ReactElement {
  const own = usePieceModels().data ?? [];
  const { inLikeness, isThere } = useInLikeness();
  const add = (assembly: AssemblyDto): void => {
    void inLikeness(assembly.piece).then((piece) => {
      onAdd({ ...assembly, piece });
    });
  };
  return (
    <Box background="paper" border="hair" padding={4} role="group" aria-label="A piece of many parts">
      <Flex alignItems="baseline" gap={3} marginBottom={2} wrap="wrap">
        <h3>A piece of many parts</h3>
        <Second>begin with one of these, in any size; its colours are taken from what you have that is nearest</Second>
        <Word fontSize="small" onClick={onCancel}>
          not now
        </Word>
      </Flex>
      <Flex wrap="wrap" gap={1}>
        {own.map((model) => (
          <OwnModel
            key={model.id}
            model={model}
            onChoose={() => {
              add(fromOwn(model, isThere));
            }}
          />
        ))}
        {PIECE_MODELS.map((model) => (
          <Model
            key={model.name}
            {...model}
            onChoose={() => {
              add(fromModel(model));
            }}
          />
        ))}
      </Flex>
      <Word
        fontSize="small"
        onClick={() => {
          onAdd(assemblyOf('New piece', { version: PIECE_VERSION, sizes: [], parts: [] }, []));
        }}
      >
        with nothing: put it together part by part
      </Word>
    </Box>
  );
}
