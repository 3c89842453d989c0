import { Box, Flex } from '@chakra-ui/react';
import type { KeyboardEvent, PointerEvent, ReactElement } from 'react';
import type { PlannedJob, Slot } from '#core/days';
import { grey } from '../../../theme/grey.js';
import { clockWords, minuteOf } from './clock.js';

/** From which minute of the day to which one strips reach. */
export interface Axis {
  readonly from: number;
  readonly to: number;
}

export const shareOf = (minute: number, { from, to }: Axis): number => (100 * (minute - from)) / (to - from);

interface SlotProps {
  readonly slot: Slot;
  readonly planned: PlannedJob;
  readonly batchName: string;
  /** how the boxes of its batch are told from those of others */
  readonly look: BatchLook;
  readonly axis: Axis;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onDrag: (e: PointerEvent) => void;
  readonly onKey: (e: KeyboardEvent) => void;
}

export interface BatchLook {
  readonly background: string;
  readonly border: string;
}

/** Boxes of batches are told apart by their edge and their white, never by a hue. */
const LOOKS: readonly BatchLook[] = [
  { background: grey.tile, border: `2px solid ${grey.ink}` },
  { background: grey.paper, border: `1px solid ${grey.ink}` },
  { background: grey.pale, border: `1px solid ${grey.ink}` },
  { background: grey.tile, border: `1px dashed ${grey.ink}` },
  { background: grey.pale, border: `2px dashed ${grey.ink}` },
];
export const lookOf = (batch: number): BatchLook => LOOKS[batch % LOOKS.length] as BatchLook;

/** One stretch of work in its day. */
export function SlotBox(props: SlotProps): ReactElement {
  const { slot, planned, batchName, look, axis, chosen, onChoose, onDrag, onKey } = props;
  const [from, to] = [minuteOf(slot.from), minuteOf(slot.from) + slot.to - slot.from];
  const oven = slot.need === 'oven';
  const what = oven ? 'oven' : planned.job.name;
  return (
    <Box
      as="button"
      position="absolute"
      top={oven ? '40px' : '5px'}
      height={oven ? '18px' : '33px'}
      overflow="hidden"
      textAlign="left"
      paddingX="6px"
      fontSize="caption"
      lineHeight={1.2}
      aria-label={`${batchName}: ${what}, ${clockWords(from)} to ${clockWords(to)}`}
      aria-pressed={chosen}
      title={`${batchName}: ${what}`}
      style={{
        left: `${shareOf(from, axis)}%`,
        width: `${shareOf(to, axis) - shareOf(from, axis)}%`,
        background: oven ? grey.ink : look.background,
        color: oven ? grey.tile : grey.ink,
        border: look.border,
        outline: chosen ? `4px solid ${grey.ink}` : 'none',
        zIndex: chosen ? 2 : 1,
        touchAction: 'none',
      }}
      onClick={onChoose}
      onPointerDown={onDrag}
      onKeyDown={onKey}
    >
      <b>{what}</b>
      {!oven && (
        <>
          <br />
          {batchName}
        </>
      )}
    </Box>
  );
}

/** The lines of the hours, and their numbers above. */
export function Hours({ axis }: { readonly axis: Axis }): ReactElement {
  const step = axis.to - axis.from > 8 * 60 ? 120 : 60;
  const first = Math.ceil(axis.from / step) * step;
  const hours = Array.from({ length: Math.floor((axis.to - first) / step) + 1 }, (_, i) => first + i * step);
  return (
    <Flex position="relative" height="22px" marginLeft="92px">
      {hours.map((minute) => (
        <Box
          key={minute}
          position="absolute"
          transform="translateX(-50%)"
          fontSize="caption"
          style={{ left: `${shareOf(minute, axis)}%` }}
        >
          {clockWords(minute)}
        </Box>
      ))}
    </Flex>
  );
}
