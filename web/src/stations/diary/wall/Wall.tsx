import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { WallAnswer } from '#contract/diary';
import { Empty, Reading } from '../../../parts/Empty.js';
import { outcomeText } from '../../../parts/HowItWent.js';
import { LongList } from '../../../parts/LongList.js';
import { smallSourceOf } from '../../../parts/openPhotograph.js';
import { useSeen } from '../../../parts/useSeen.js';
import { useWidth } from '../../../parts/useWidth.js';
import { showDate } from '../../../state/today.js';
import { Caption, Second } from '../../../theme/pieces.js';
import { useLongWall } from '../../../wire/long.js';

/** px of a photograph with its words: about so wide, and so high. */
const [WIDE, PICTURE, HIGH] = [190, 176, 240];

/** A photograph, and what it is of. */
function OnWall({ picture }: { readonly picture: WallAnswer['pictures'][number] }): ReactElement {
  const { id, entryId, title, madeOn, outcome } = picture;
  return (
    <Box padding={2} height="100%">
      <Link to={`/diary/${entryId}`} style={{ textDecoration: 'none' }}>
        <img
          src={smallSourceOf(id)}
          alt={title}
          loading="lazy"
          style={{ width: '100%', height: PICTURE, objectFit: 'cover', display: 'block' }}
        />
        <Box
          fontWeight={600}
          fontSize="small"
          marginTop={1}
          overflow="hidden"
          whiteSpace="nowrap"
          textOverflow="ellipsis"
        >
          {title}
        </Box>
        <Caption>
          {showDate(madeOn)}
          {outcome === null ? '' : ` · ${outcomeText(outcome)}`}
        </Caption>
      </Link>
    </Box>
  );
}

type Found = ReturnType<typeof useLongWall>;

interface PicturesProps {
  readonly found: Found;
  readonly lanes: number;
  readonly onSeen: (from: number, to: number) => void;
}

function Pictures({ found, lanes, onSeen }: PicturesProps): ReactElement {
  if (found.reading) return <Reading error={found.error} />;
  if (found.total === 0)
    return (
      <Empty title="No photographs yet">
        At every Done a photograph can be taken with the device that is in the hand, or opened as a file; it stands here
        then.
      </Empty>
    );
  return (
    <LongList
      key={lanes}
      label="Photographs"
      total={found.total}
      lanes={lanes}
      height={HIGH}
      padding={12}
      onSeen={onSeen}
      of="wall"
      keyOf={(place) => {
        const at = found.at(place);
        return at && `${at.entryId} ${at.id}`;
      }}
      row={(place) => {
        const picture = found.at(place);
        return picture ? <OnWall picture={picture} /> : null;
      }}
    />
  );
}

/** Photographs of all that was made, in time, the newest first; large ones stand with their entry. */
export default function Wall(): ReactElement {
  const { seen, onSeen } = useSeen();
  const found = useLongWall(seen);
  const [frame, width] = useWidth<HTMLDivElement>();
  const lanes = Math.max(1, Math.floor(width / WIDE));
  return (
    <Flex ref={frame} direction="column" height="100%" minHeight={0}>
      <Flex alignItems="baseline" gap={4} padding={5} paddingBottom={2}>
        <h1>Photographs</h1>
        {found.total > 0 && <Second>{found.total} in all, the newest first</Second>}
        <Box marginLeft="auto" fontSize="small">
          <Link to="/diary">all of the diary</Link>
        </Box>
      </Flex>
      <Box flex="1 1 0" minHeight={0} display="grid">
        {width > 0 && <Pictures found={found} lanes={lanes} onSeen={onSeen} />}
      </Box>
    </Flex>
  );
}
