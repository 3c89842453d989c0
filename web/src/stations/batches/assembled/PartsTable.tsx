import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { settlePiece, type LaidPart, type PieceDocument } from '#core/piece';
import { showMass } from '#core/units';
import type { AssemblyDto, FindingDto, PlanAnswer } from '#contract';
import { hexesIn, type DrawnPiece } from '../../../parts/pieces/drawn.js';
import { PieceAbove } from '../../../parts/pieces/PieceAbove.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { nameOf } from './MadeOfWhat.js';
import { gramsOfPart } from './partGrams.js';
import { PartFields } from './PartFields.js';
import { placeWords, shapeWords } from './partWords.js';

interface TableProps {
  readonly assembly: AssemblyDto;
  readonly plan: PlanAnswer;
  readonly piece: PieceDocument;
  readonly drawn: DrawnPiece;
  readonly materials: PlanAnswer['materials'];
  readonly findings: readonly FindingDto[];
  readonly disabled: boolean;
  readonly chosen: string | null;
  readonly onChoose: (partId: string | null) => void;
  readonly onPiece: (piece: PieceDocument) => void;
}

/** px of the small picture of a part. */
const PICTURE = 34;

/** One of a part, alone. */
function Alone({ laid, materials }: { readonly laid: LaidPart; readonly materials: PlanAnswer['materials'] }) {
  const alone = useMemo(() => settlePiece([{ ...laid, lying: [{ x: 0, y: 0, degrees: 0, flip: false }] }]), [laid]);
  if (!alone) return null;
  const scale = PICTURE / Math.max(alone.extent.width, alone.extent.height, 8);
  return <PieceAbove piece={alone} hexesOf={hexesIn(materials)} label={laid.part.name} scale={scale} />;
}

/** Which of the findings it is, or what a part is made of. */
function ofWhat({ part }: LaidPart, { materials, findings }: Pick<TableProps, 'materials' | 'findings'>): string {
  const { shape } = part;
  if (shape.is !== 'finding') return part.of === null ? 'no clay chosen' : nameOf(part.of, materials);
  const one = findings.find((f) => f.id === shape.finding);
  return one ? `${one.name}, ${one.count} there` : 'none chosen';
}

function OneRow({ laid, ...props }: TableProps & { readonly laid: LaidPart }): ReactElement {
  const units = useUnits();
  const { piece, drawn, chosen, disabled, onChoose } = props;
  const { part, lying } = laid;
  const own = piece.parts.find((p) => p.id === part.id);
  const open = chosen === part.id;
  const said = [...drawn.wrong, ...drawn.remarks].filter((w) => w.partId === part.id);
  return (
    <Box as="li" borderTop="hair">
      <Flex
        as="button"
        width="100%"
        textAlign="left"
        gap={3}
        alignItems="center"
        paddingY={1}
        aria-expanded={open}
        aria-label={`Part ${part.name}`}
        background={open ? 'paper' : 'transparent'}
        onClick={() => {
          onChoose(open ? null : part.id);
        }}
      >
        <Flex width="40px" height="38px" flex="none" alignItems="center" justifyContent="center">
          <Alone laid={laid} materials={props.materials} />
        </Flex>
        <Box width="128px" flex="none" fontWeight={700}>
          {lying.length} × {part.name}
        </Box>
        <Box flex={1} minWidth={0} fontSize="small">
          {ofWhat(laid, props)} · {shapeWords(part.shape, units)}
          {placeWords(part) === '' ? '' : ` · ${placeWords(part)}`}
        </Box>
        <Box flex="none" fontSize="small">
          {part.shape.is === 'finding' ? '' : showMass(gramsOfPart(laid, props.assembly, props.plan), units)}
        </Box>
      </Flex>
      {said.map(({ sentence }) => (
        <Warning key={sentence}>{sentence}</Warning>
      ))}
      {open && own && !disabled && <PartFields {...props} part={own} />}
    </Box>
  );
}

/** A part that could not be laid: its sentence, and its fields to mend it. */
function Unlaid({ partId, ...props }: TableProps & { readonly partId: string }): ReactElement | null {
  const own = props.piece.parts.find((p) => p.id === partId);
  const sentence = props.drawn.wrong.find((w) => w.partId === partId)?.sentence ?? '';
  if (!own) return null;
  return (
    <Box as="li" borderTop="hair" paddingY={1}>
      <b>{own.name}</b>
      <Warning>{sentence}</Warning>
      {!props.disabled && <PartFields {...props} part={own} />}
    </Box>
  );
}

/** The parts of one piece in the order they are put together, each with its grams; one of them open to be changed. */
export function PartsTable(props: TableProps): ReactElement {
  const { drawn } = props;
  const laid = new Set(drawn.laid.map(({ part }) => part.id));
  const unlaid = drawn.wrong.flatMap(({ partId }) => (partId !== null && !laid.has(partId) ? [partId] : []));
  return (
    <div>
      <Flex alignItems="baseline" gap={3}>
        <h3>Parts of one</h3>
        <Caption>in the order they are put together; choose one to change it</Caption>
      </Flex>
      <Box as="ul" aria-label="Parts of one piece" borderBottom="hair">
        {drawn.laid.map((one) => (
          <OneRow key={one.part.id} {...props} laid={one} />
        ))}
        {unlaid.map((partId) => (
          <Unlaid key={partId} {...props} partId={partId} />
        ))}
      </Box>
    </div>
  );
}
