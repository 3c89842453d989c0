import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { sparesFor } from '#core/batch';
import { cutterOf, plainCutter } from '#core/cutter';
import type { PieceDto, PlanAnswer } from '#contract';
import { CutterValue } from '../../parts/cutters/CutterValue.js';
import { CountValue, TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Caption, Word } from '../../theme/pieces.js';
import type { FieldSentence, OwnSetting } from './batchMoves.js';
import { AllThereIs } from './AllThereIs.js';
import { FinishSteps } from './assembled/FinishSteps.js';
import { FromDrawer } from '../../parts/cutters/FromDrawer.js';
import { OnTheFade, OnTheSheet, WhereTheyWerePut, type FieldsProps } from './PieceSheet.js';
import { PieceCuts } from './PieceCuts.js';
import { InWear } from './InWear.js';
import { Layers } from './Layers.js';
import { hexesIn, unsaid } from './pieceWords.js';

/** How many, and with which cutter. */
function HowMany({ piece, disabled, says, set }: FieldsProps): ReactElement {
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
      <CutterValue
        label="Size of the cutter"
        cutter={cutterOf(piece)}
        disabled={disabled}
        refusal={says('widthMm')}
        onChange={(cutter) => {
          set(plainCutter(cutter));
        }}
      />
    </Box>
  );
}

/** Spares by what the bench taught, where there are fewer than usually break. */
function EnoughSpares({
  piece,
  disabled,
  breakage,
  set,
}: FieldsProps & { readonly breakage: number | null }): ReactElement | null {
  if (breakage === null || disabled) return null;
  const spare = sparesFor(piece.count, breakage);
  if (spare <= piece.spare) return null;
  return (
    <Caption>
      About {Math.round(100 * breakage)} of a hundred break, as your bench taught:{' '}
      <Word
        onClick={() => {
          set({ spare });
        }}
      >
        {`cut ${spare} spare`}
      </Word>
    </Caption>
  );
}

interface PieceProps {
  readonly batchId: string;
  readonly piece: PieceDto;
  readonly plan: PlanAnswer['pieces'][number] | undefined;
  /** the share of such pieces that break; null: nobody counted */
  readonly breakage: number | null;
  readonly materials: PlanAnswer['materials'];
  readonly settings: readonly OwnSetting[];
  readonly disabled: boolean;
  readonly refused: readonly FieldSentence[];
  readonly onChange: (piece: PieceDto) => void;
  readonly onRemove: () => void;
}

/** What can be done with the whole kind. */
function Ways({
  batchId,
  piece,
  onRemove,
  set,
}: Pick<PieceProps, 'batchId' | 'piece' | 'onRemove'> & Pick<FieldsProps, 'set'>): ReactElement {
  return (
    <>
      <AllThereIs
        batchId={batchId}
        kind={piece}
        onCount={(count) => {
          set({ count });
        }}
      />
      <Word fontSize="small" alignSelf="flex-start" onClick={onRemove}>
        Leave this piece out
      </Word>
    </>
  );
}

/** What is said of a piece: how many of what, of which layers, on which sheet. */
function Said({ fields, ...props }: PieceProps & { readonly fields: FieldsProps }): ReactElement {
  const { piece, plan, materials, settings, disabled, refused } = props;
  const { says, set } = fields;
  const onLayers = (layers: PieceDto['layers']): void => {
    set({ layers });
  };
  return (
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
      <EnoughSpares {...fields} breakage={props.breakage} />
      {!disabled && (
        <FromDrawer
          cutter={cutterOf(piece)}
          onChoose={(cutter) => {
            set(plainCutter(cutter));
          }}
        />
      )}
      <Layers piece={piece} materials={materials} settings={settings} disabled={disabled} onLayers={onLayers} />
      {plan && plan.wrong !== null && <Warning>{plan.wrong}</Warning>}
      {plan && plan.wrong === null && (
        <InWear piece={piece} strength={plan.strength} disabled={disabled} onLayers={onLayers} />
      )}
      {unsaid(refused).map((r) => (
        <Warning key={r.field}>{r.sentence}</Warning>
      ))}
      {piece.placed ? <WhereTheyWerePut {...fields} /> : <OnTheSheet {...fields} />}
      {!piece.placed && hexesIn(materials, piece).length > 1 && <OnTheFade {...fields} />}
      <FinishSteps
        of={piece.name}
        steps={piece.finish ?? []}
        disabled={disabled}
        onSteps={(finish) => {
          set({ finish });
        }}
      />
      {!disabled && <Ways {...props} set={set} />}
    </Flex>
  );
}

/** One kind of piece: what it is cut from, with what, how many, and how the cuts lie on the sheet. */
export function Piece(props: PieceProps): ReactElement {
  const { piece, plan, materials, disabled, refused, onChange } = props;
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
      <Said {...props} fields={fields} />
      {plan && plan.wrong === null && <PieceCuts piece={piece} plan={plan} materials={materials} />}
    </Grid>
  );
}
