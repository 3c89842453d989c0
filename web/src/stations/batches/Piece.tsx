import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { readSize, sentenceOf, showMass, showSize } from '#core/units';
import type { MostPiecesAnswer, PieceDto, PlanAnswer } from '#contract';
import { CutLayout } from '../../parts/CutLayout.js';
import { CountValue, LengthValue, TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';
import { ask } from '../../wire/ask.js';
import type { FieldSentence, OwnSetting } from './batchMoves.js';
import { Layers } from './Layers.js';
import { cutterWords, hexIn, mostWords, unsaid } from './pieceWords.js';

/** What is typed about a piece: its values, whether they can be changed, and what is wrong with one. */
interface FieldsProps {
  readonly piece: PieceDto;
  readonly disabled: boolean;
  readonly says: (field: string) => string | undefined;
  readonly set: (part: Partial<PieceDto>) => void;
}

/** How many, and with which cutter. */
function HowMany({ piece, disabled, says, set }: FieldsProps): ReactElement {
  const units = useUnits();
  return (
    <Box>
      <CountValue
        label="Number of pieces"
        value={piece.count}
        disabled={disabled}
        refusal={says('count')}
        onChange={(count) => {
          set({ count });
        }}
      />{' '}
      and{' '}
      <CountValue
        label="Number of spares"
        value={piece.spare}
        disabled={disabled}
        refusal={says('spare')}
        onChange={(spare) => {
          set({ spare });
        }}
      />{' '}
      spare, cut with{' '}
      <Value
        label="Size of the cutter"
        text={cutterWords(piece, units)}
        disabled={disabled}
        refusal={says('widthMm')}
        read={(text) => readSize(text.replace(/\s*round$/i, ''), units)}
        onChange={({ width, height }) => {
          set({ widthMm: width, heightMm: height, shape: height === null ? 'round' : 'rectangle' });
        }}
      />
      {piece.shape === 'round' ? ' round' : ''}
    </Box>
  );
}

/** As many as there is clay for, with everything else of the batch as it is. */
function AllThereIs({
  batchId,
  piece,
  set,
}: Pick<FieldsProps, 'piece' | 'set'> & { readonly batchId: string }): ReactElement {
  const [told, setTold] = useState<string | null>(null);
  const find = async (): Promise<void> => {
    const { count, runsOut } = await ask<MostPiecesAnswer>('GET', `/api/batches/${batchId}/most/${piece.id}`);
    setTold(mostWords({ count, runsOut }, piece.spare));
    if (count > 0) set({ count });
  };
  return (
    <Box fontSize="small">
      <Word
        fontSize="small"
        onClick={() => {
          find().catch((error: unknown) => {
            setTold(sentenceOf(error));
          });
        }}
      >
        as many as there is clay for
      </Word>
      {told !== null && <Second role="status"> {told}</Second>}
    </Box>
  );
}

/** How far apart the cuts are, and how large a sheet may be. */
function OnTheSheet({ piece, disabled, says, set }: FieldsProps): ReactElement {
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
    </Second>
  );
}

interface CutsProps {
  readonly piece: PieceDto;
  readonly plan: Extract<PlanAnswer['pieces'][number], { readonly wrong: null }>;
  readonly materials: PlanAnswer['materials'];
}

/** How the cuts lie on the sheet, and what is left between them. */
function Cuts({ piece, plan, materials }: CutsProps): ReactElement {
  const units = useUnits();
  const { layout, scrapGrams } = plan;
  const many = layout.sheets > 1;
  return (
    <Box minWidth={0}>
      <CutLayout
        layout={layout}
        cutter={{ width: piece.widthMm, height: piece.heightMm }}
        hex={hexIn(materials, piece.layers.at(-1)).slice(1)}
        room={{ width: 300, height: 250 }}
      />
      <Second>
        {many ? `${layout.sheets} sheets, ` : ''}
        {layout.pattern === 'hexagonal' ? 'cut in the gaps of the row before' : 'cut in straight rows'},{' '}
        {layout.perSheet} on {many ? 'each' : 'the sheet'} · {Math.round(layout.scrap * 100)} % between the cuts,{' '}
        {showMass(scrapGrams, units)}
      </Second>
    </Box>
  );
}

interface PieceProps {
  readonly batchId: string;
  readonly piece: PieceDto;
  readonly plan: PlanAnswer['pieces'][number] | undefined;
  readonly materials: PlanAnswer['materials'];
  readonly settings: readonly OwnSetting[];
  readonly disabled: boolean;
  readonly refused: readonly FieldSentence[];
  readonly onChange: (piece: PieceDto) => void;
  readonly onRemove: () => void;
}

/** One kind of piece: what it is cut from, with what, how many, and how the cuts lie on the sheet. */
export function Piece(props: PieceProps): ReactElement {
  const { batchId, piece, plan, materials, settings, disabled, refused, onChange, onRemove } = props;
  const set = (part: Partial<PieceDto>): void => {
    onChange({ ...piece, ...part });
  };
  const says = (field: string): string | undefined => refused.find((r) => r.field === field)?.sentence;
  const fields = { piece, disabled, says, set };
  return (
    <Grid
      as="section"
      aria-label={piece.name}
      templateColumns="minmax(0, 1fr) minmax(0, 1fr)"
      gap={5}
      borderTop="rule"
      paddingTop={4}
    >
      <Flex direction="column" gap={2} minWidth={0}>
        <h2>
          <TextValue
            label="Name of the piece"
            value={piece.name}
            disabled={disabled}
            refusal={says('name')}
            onChange={(name) => {
              set({ name });
            }}
          />
        </h2>
        <HowMany {...fields} />
        <Layers
          piece={piece}
          materials={materials}
          settings={settings}
          disabled={disabled}
          onLayers={(layers) => {
            set({ layers });
          }}
        />
        {plan && plan.wrong !== null && <Warning>{plan.wrong}</Warning>}
        {unsaid(refused).map((r) => (
          <Warning key={r.field}>{r.sentence}</Warning>
        ))}
        <OnTheSheet {...fields} />
        {!disabled && (
          <>
            <AllThereIs batchId={batchId} piece={piece} set={set} />
            <Word fontSize="small" alignSelf="flex-start" onClick={onRemove}>
              Leave this piece out
            </Word>
          </>
        )}
      </Flex>
      {plan && plan.wrong === null && <Cuts piece={piece} plan={plan} materials={materials} />}
    </Grid>
  );
}
