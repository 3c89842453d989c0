import { Box, Flex } from '@chakra-ui/react';
import type { MouseEvent, ReactElement } from 'react';
import type { TroubleMark } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import { sourceOf } from '../../../parts/openPhotograph.js';
import { grey } from '../../../theme/grey.js';

/** px of a photograph that is pointed at. */
const WIDE = 250;
/** px of a mark. */
const DOT = 22;

/** A place on a photograph, before it is said what went wrong there. */
export interface Pointed {
  readonly pictureId: string;
  readonly x: number;
  readonly y: number;
}

function Dot({ mark, words }: { readonly mark: Pick<TroubleMark, 'x' | 'y'>; readonly words: string }): ReactElement {
  return (
    <Box
      position="absolute"
      width={`${DOT}px`}
      height={`${DOT}px`}
      borderRadius="50%"
      border={`3px solid ${grey.tile}`}
      outline={`2px solid ${grey.black}`}
      transform="translate(-50%, -50%)"
      pointerEvents="none"
      title={words}
      role="img"
      aria-label={words}
      style={{ left: `${100 * mark.x}%`, top: `${100 * mark.y}%` }}
    />
  );
}

interface OneProps {
  readonly picture: DiaryAnswer['pictures'][number];
  readonly number: number;
  readonly pointed: Pointed | null;
  readonly onPoint: (at: Pointed) => void;
}

/** A photograph to point at: the mouse says where, Enter takes the middle. */
function OnePicture({ picture, number, pointed, onPoint }: OneProps): ReactElement {
  const { id: pictureId } = picture;
  const point = (e: MouseEvent<HTMLElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    // pressed by a key it has no place of its own
    const byKey = e.detail === 0;
    const x = byKey ? 1 / 2 : (e.clientX - box.left) / box.width;
    const y = byKey ? 1 / 2 : (e.clientY - box.top) / box.height;
    onPoint({ pictureId, x, y });
  };
  return (
    <Box
      as="button"
      position="relative"
      width={`${WIDE}px`}
      maxWidth="100%"
      cursor="crosshair"
      aria-label={`Point at the trouble on photograph ${number}`}
      onClick={point}
    >
      <img src={sourceOf(pictureId)} alt="" style={{ width: '100%', display: 'block' }} />
      {(picture.marks ?? []).map((mark, i) => (
        <Dot key={i} mark={mark} words={mark.what} />
      ))}
      {pointed?.pictureId === pictureId && <Dot mark={pointed} words="here" />}
    </Box>
  );
}

interface MarkedProps {
  readonly entry: DiaryAnswer;
  readonly pointed: Pointed | null;
  readonly onPoint: (at: Pointed) => void;
}

/** The photographs of an entry, with what went wrong where. */
export function Marked({ entry, pointed, onPoint }: MarkedProps): ReactElement | null {
  if (entry.pictures.length === 0) return null;
  return (
    <Flex gap={3} wrap="wrap" marginBottom={2}>
      {entry.pictures.map((picture, i) => (
        <OnePicture key={picture.id} picture={picture} number={i + 1} pointed={pointed} onPoint={onPoint} />
      ))}
    </Flex>
  );
}
