import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import type { OverPlan } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import { ARROWS } from '../../parts/arrows.js';
import { sourceOf } from '../../parts/openPhotograph.js';
import { Slide } from '../../parts/Slide.js';
import { Caption, Word } from '../../theme/pieces.js';
import { CaneImage } from '../canes/faces/CaneImage.js';
import { SheetImage } from '../patterns/faces/SheetImage.js';
import { saveEntry } from './saveEntry.js';
import { AS_IT_FILLS, moved, planOfEntry, scaled, turned, type PlanSeen } from './laidOver.js';

/** px of the plan, a side. */
const SIDE = 360;
/** What a press of an arrow key moves, in sides; with shift ten times. */
const STEP = 1 / 200;
const FAR = 10;

interface Props {
  readonly entry: DiaryAnswer;
}

function Plan({ plan }: { readonly plan: PlanSeen }): ReactElement {
  return (
    <svg width={SIDE} height={SIDE} role="img" aria-label={`${plan.name} as it was planned`}>
      {plan.kind === 'cane' ? (
        <CaneImage revisionId={plan.revisionId} size={SIDE} />
      ) : (
        <SheetImage of={{ revisionId: plan.revisionId, sheet: 0, hands: plan.hands }} width={SIDE} height={SIDE} />
      )}
    </svg>
  );
}

/** How the photograph lies now: as it is dragged, or as it is kept. */
function useLaid({ entry }: Props, pictureId: string) {
  const kept = entry.pictures.find((p) => p.id === pictureId)?.lay ?? AS_IT_FILLS;
  const [dragged, setDragged] = useState<OverPlan | null>(null);
  const keep = (lay: OverPlan): void => {
    setDragged(null);
    saveEntry(entry, { pictures: entry.pictures.map((p) => (p.id === pictureId ? { ...p, lay } : p)) });
  };
  return { lay: dragged ?? kept, setDragged, keep };
}

type Laid = ReturnType<typeof useLaid>;

interface OnTopProps {
  readonly pictureId: string;
  readonly laid: Laid;
  readonly seen: number;
}

/** The photograph on the plan: dragged by hand, moved by the arrow keys, larger and smaller by + and −. */
function OnTop({ pictureId, laid, seen }: OnTopProps): ReactElement {
  const from = useRef<{ readonly x: number; readonly y: number; readonly lay: OverPlan } | null>(null);
  const { lay, setDragged, keep } = laid;
  const at = (e: PointerEvent): OverPlan | null =>
    from.current && moved(from.current.lay, (e.clientX - from.current.x) / SIDE, (e.clientY - from.current.y) / SIDE);
  const byKey = (e: KeyboardEvent): void => {
    const way = ARROWS[e.key];
    const by = STEP * (e.shiftKey ? FAR : 1);
    const next = way ? moved(lay, way[0] * by, way[1] * by) : resized(lay, e.key);
    if (!next) return;
    e.preventDefault();
    keep(next);
  };
  return (
    <Box
      position="absolute"
      inset={0}
      overflow="hidden"
      cursor="move"
      tabIndex={0}
      role="application"
      aria-label="The photograph over the plan: arrow keys move it, plus and minus make it larger and smaller"
      style={{ touchAction: 'none' }}
      onKeyDown={byKey}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = { x: e.clientX, y: e.clientY, lay };
      }}
      onPointerMove={(e) => {
        const now = at(e);
        if (now) setDragged(now);
      }}
      onPointerUp={(e) => {
        const now = at(e);
        from.current = null;
        if (now) keep(now);
      }}
    >
      <img
        src={sourceOf(pictureId)}
        alt="As it came out"
        draggable={false}
        style={{
          width: SIDE,
          height: SIDE,
          objectFit: 'cover',
          opacity: seen,
          transform: `translate(${lay.x * SIDE}px, ${lay.y * SIDE}px) rotate(${lay.turn}deg) scale(${lay.scale})`,
        }}
      />
    </Box>
  );
}

/** A tenth of a tenth larger or smaller by a key; null: another key. */
function resized(lay: OverPlan, key: string): OverPlan | null {
  if (key === '+' || key === '=') return scaled(lay, lay.scale * 1.02);
  return key === '-' ? scaled(lay, lay.scale / 1.02) : null;
}

/** How large it is and how it is turned. */
function Fitting({ laid }: { readonly laid: Laid }): ReactElement {
  const { lay, setDragged, keep } = laid;
  return (
    <Flex gap={5} wrap="wrap">
      <Box>
        <Caption>its size</Caption>
        <Slide
          label="Size of the photograph"
          text={`${Math.round(100 * lay.scale)} %`}
          value={lay.scale}
          low={0.2}
          high={4}
          grain={0.01}
          width={160}
          onSlide={(scale) => {
            setDragged(scaled(lay, scale));
          }}
          onSet={(scale) => {
            keep(scaled(lay, scale));
          }}
        />
      </Box>
      <Box>
        <Caption>its turn</Caption>
        <Slide
          label="Turn of the photograph"
          text={`${Math.round(lay.turn)}°`}
          value={lay.turn}
          low={-180}
          high={180}
          grain={1}
          width={160}
          onSlide={(turn) => {
            setDragged(turned(lay, turn));
          }}
          onSet={(turn) => {
            keep(turned(lay, turn));
          }}
        />
      </Box>
    </Flex>
  );
}

/** The plan's picture and the photograph over each other at one scale, with a slider from one to the other. */
export function LaidOver({ entry }: Props): ReactElement | null {
  const plan = planOfEntry(entry);
  const [open, setOpen] = useState(false);
  const picture = entry.pictures.find((p) => p.lay) ?? entry.pictures[0];
  if (!plan || !picture) return null;
  if (!open && !picture.lay)
    return (
      <Box>
        <Word
          onClick={() => {
            setOpen(true);
          }}
        >
          lay the photograph over the plan
        </Word>
      </Box>
    );
  return <Laying key={picture.id} entry={entry} plan={plan} pictureId={picture.id} />;
}

interface LayingProps extends Props {
  readonly plan: PlanSeen;
  readonly pictureId: string;
}

function Laying({ entry, plan, pictureId }: LayingProps): ReactElement {
  const [seen, setSeen] = useState(0.5);
  const laid = useLaid({ entry }, pictureId);
  return (
    <Box as="section" aria-label="Plan and photograph over each other">
      <Box position="relative" width={`${SIDE}px`} height={`${SIDE}px`} maxWidth="100%">
        <Plan plan={plan} />
        <OnTop pictureId={pictureId} laid={laid} seen={seen} />
      </Box>
      <Flex alignItems="center" gap={3} marginTop={2}>
        <Caption>the plan</Caption>
        <Slide
          label="From the plan to the photograph"
          text={`${Math.round(100 * seen)} % photograph`}
          value={seen}
          low={0}
          high={1}
          grain={0.01}
          width={220}
          onSlide={setSeen}
          onSet={setSeen}
        />
        <Caption>the photograph</Caption>
      </Flex>
      <Box marginTop={3}>
        <Fitting laid={laid} />
      </Box>
    </Box>
  );
}
