import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import type { PieceDocument } from '#core/piece';
import { showLength, showMinutes, showTemperature } from '#core/units';
import type { AssemblyDto, FindingDto, PlanAnswer } from '#contract';
import { drawnPiece, type DrawnPiece } from '../../../parts/pieces/drawn.js';
import { CountValue, TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { AllThereIs } from '../AllThereIs.js';
import type { FieldSentence } from '../batchMoves.js';
import { withNewPart } from './assemblyMoves.js';
import { FinishSteps } from './FinishSteps.js';
import { PartsTable } from './PartsTable.js';
import { Pictures } from './Pictures.js';
import { Sizes } from './Sizes.js';

interface AssembledProps {
  readonly batchId: string;
  readonly assembly: AssemblyDto;
  readonly plan: PlanAnswer;
  readonly findings: readonly FindingDto[];
  readonly disabled: boolean;
  readonly refused: readonly FieldSentence[];
  readonly onChange: (assembly: AssemblyDto) => void;
  readonly onRemove: () => void;
  /** keeps it as a piece of one's own */
  readonly onKeep: () => void;
}

/** How often it is baked, how long, and how hot. */
function Bakes({
  assembly,
  plan,
  thickest,
}: {
  readonly assembly: AssemblyDto;
  readonly plan: PlanAnswer;
  readonly thickest: number;
}): ReactElement | null {
  const units = useUnits();
  const all = plan.loads.filter((load) => load.pieces.some((p) => p.pieceId === assembly.id));
  // however many trays there are, each piece bakes once, or its core before it
  const loads = [true, false].flatMap((cores) => all.find((load) => load.cores === cores) ?? []);
  if (loads.length === 0) return null;
  return (
    <div>
      <h3>{loads.length === 1 ? 'It bakes once' : 'It bakes twice'}</h3>
      {loads.map((load, i) => (
        <Box key={i} fontSize="small">
          {load.cores ? 'its cores first: ' : `thickest ${showLength(thickest, units)}: `}
          {showMinutes(load.minutes)} at {showTemperature(load.celsius, units)}
          {load.compromise ? ', which all its lines stand' : ''}
        </Box>
      ))}
    </div>
  );
}

/** How many, and what it is called. */
function Head({
  assembly,
  disabled,
  refused,
  onChange,
}: Pick<AssembledProps, 'assembly' | 'disabled' | 'refused' | 'onChange'>): ReactElement {
  const says = (field: string): string | undefined => refused.find((r) => r.field === field)?.sentence;
  return (
    <Flex alignItems="baseline" gap={3} wrap="wrap">
      <h2>
        <TextValue
          label="Name of the piece"
          value={assembly.name}
          disabled={disabled}
          refusal={says('name')}
          onChange={(name) => {
            onChange({ ...assembly, name });
          }}
        />
      </h2>
      <Second>
        <CountValue
          label={`Number of ${assembly.name}`}
          value={assembly.count}
          disabled={disabled}
          refusal={says('count')}
          onChange={(count) => {
            onChange({ ...assembly, count });
          }}
        />{' '}
        and{' '}
        <CountValue
          label={`Spares of ${assembly.name}`}
          value={assembly.spare}
          disabled={disabled}
          refusal={says('spare')}
          onChange={(spare) => {
            onChange({ ...assembly, spare });
          }}
        />{' '}
        spare
      </Second>
    </Flex>
  );
}

/** Sentences about the whole of it: of the drawing, of the plan, of the server. */
function Sentences({
  assembly,
  plan,
  drawn,
  refused,
}: Pick<AssembledProps, 'assembly' | 'plan' | 'refused'> & { readonly drawn: DrawnPiece }): ReactElement {
  const planned = plan.assemblies.find((a) => a.id === assembly.id)?.wrong ?? null;
  const whole = drawn.wrong.filter((w) => w.partId === null).map((w) => w.sentence);
  const known = new Set(drawn.wrong.map((w) => w.sentence));
  const said = refused.filter((r) => !['name', 'count', 'spare'].includes(r.field)).map((r) => r.sentence);
  const all = [...whole, ...(planned !== null && !known.has(planned) ? [planned] : []), ...said];
  return (
    <>
      {[...new Set(all)].map((sentence) => (
        <Warning key={sentence}>{sentence}</Warning>
      ))}
    </>
  );
}

/** What can be done with the whole piece. */
function Ways(props: AssembledProps & { readonly onMore: () => void }): ReactElement {
  const { batchId, assembly, onChange, onMore, onKeep, onRemove } = props;
  return (
    <>
      <AllThereIs
        batchId={batchId}
        kind={assembly}
        onCount={(count) => {
          onChange({ ...assembly, count });
        }}
      />
      <Flex gap={4} wrap="wrap" alignItems="baseline">
        <Word onClick={onMore}>A part more</Word>
        <Word fontSize="small" onClick={onKeep}>
          Keep it for another time
        </Word>
        <Word fontSize="small" onClick={onRemove}>
          Leave this piece out
        </Word>
        <Caption>kept pieces are offered wherever a piece is begun</Caption>
      </Flex>
    </>
  );
}

/** A kind of piece of many parts: as it will look, what it is made of, and what is done to it after the oven. */
export function Assembled(props: AssembledProps): ReactElement {
  const { assembly, plan, findings, disabled, onChange } = props;
  const [chosen, setChosen] = useState<string | null>(null);
  const { piece } = assembly;
  const drawn = useMemo(() => drawnPiece(piece), [piece]);
  const onPiece = (next: PieceDocument): void => {
    onChange({ ...assembly, piece: next });
  };
  const thickest = plan.assemblies.find((a) => a.id === assembly.id)?.thickest ?? 0;
  const after = (
    <>
      <Bakes assembly={assembly} plan={plan} thickest={thickest} />
      <FinishSteps
        of={assembly.name}
        steps={assembly.finish}
        disabled={disabled}
        onSteps={(finish) => {
          onChange({ ...assembly, finish });
        }}
      />
    </>
  );
  return (
    <Flex as="section" aria-label={assembly.name} direction="column" gap={4} borderTop="rule" paddingTop={4}>
      <Head {...props} />
      <Sizes piece={piece} disabled={disabled} onPiece={onPiece} />
      <Sentences assembly={assembly} plan={plan} drawn={drawn} refused={props.refused} />
      {drawn.settled ? (
        <Pictures name={assembly.name} settled={drawn.settled} plan={plan} chosen={chosen} onChoose={setChosen}>
          {after}
        </Pictures>
      ) : (
        <Second>It has no parts yet. Begin with the lowest one.</Second>
      )}
      <PartsTable
        {...{ assembly, plan, piece, drawn, findings, disabled, chosen, onPiece }}
        materials={plan.materials}
        onChoose={setChosen}
      />
      {!disabled && (
        <Ways
          {...props}
          onMore={() => {
            const { piece: next, id } = withNewPart(piece, piece.parts.at(-1)?.like ?? UNSAID);
            onPiece(next);
            setChosen(id);
          }}
        />
      )}
    </Flex>
  );
}

/** A colour that is meant where nobody said one. */
const UNSAID = 'F1EEE4';
