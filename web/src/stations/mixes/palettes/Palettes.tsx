import { FilePage, OpenFile } from '../../../parts/OpenFile.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { hexOf, xyzOfLab } from '#core/colour';
import { sentenceOf } from '#core/units';
import type { PaletteCard, ShelfAnswer } from '#contract';
import { Reading } from '../../../parts/Empty.js';
import { Caption, Second } from '../../../theme/pieces.js';
import { usePalette, usePalettes } from '../../../wire/queries.js';
import { openPhotograph } from '../../../parts/openPhotograph.js';
import { PaletteView } from './PaletteView.js';

/** Palettes that were taken from photographs, and the way to a new one. */
export function Palettes({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const { detail } = useParams();
  const palette = usePalette(detail);
  if (detail === undefined) return <AllPalettes />;
  return palette.data ? (
    <PaletteView key={detail} palette={palette.data} shelf={shelf} />
  ) : (
    <Reading error={palette.error} />
  );
}

/** Opening a photograph: a palette of it is made, and shown. */
function useOpening() {
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File): Promise<void> => {
    setBusy(true);
    setWrong(null);
    try {
      void navigate(`/mixes/photograph/${await openPhotograph(file)}`);
    } catch (error) {
      setWrong(sentenceOf(error));
      setBusy(false);
    }
  };
  return { busy, wrong, open };
}

function AllPalettes(): ReactElement {
  const all = usePalettes();
  const { busy, wrong, open } = useOpening();
  if (!all.data) return <Reading error={all.error} />;
  const none = all.data.length === 0;
  const onFile = (file: File): void => {
    void open(file);
  };
  return (
    <FilePage
      title="Colours of a photograph"
      about="each with the mix of your clays that comes nearest"
      onFile={onFile}
    >
      <OpenFile
        place="Palettes"
        label="Photograph to open"
        accept="image/*"
        what="a photograph"
        busy={busy ? 'Opening …' : null}
        wrong={wrong}
        main={none}
        onFile={onFile}
      >
        or drop one here. It stays on this machine.
      </OpenFile>
      <Grid as="ul" templateColumns="repeat(auto-fill, minmax(260px, 1fr))" gap={5} aria-label="Palettes">
        {all.data.map((card) => (
          <li key={card.id}>
            <OneCard card={card} />
          </li>
        ))}
      </Grid>
      {none && (
        <Second>
          No palette yet. A photograph of something you want the colours of will do: daylight, and something grey or
          white in it.
        </Second>
      )}
    </FilePage>
  );
}

/** A colour that was picked by hand is drawn as if it had this share. */
const HAND_SHARE = 0.05;

function OneCard({ card }: { readonly card: PaletteCard }): ReactElement {
  const whole = card.colours.reduce((sum, c) => sum + (c.share ?? HAND_SHARE), 0);
  return (
    <Link to={`/mixes/photograph/${card.id}`} style={{ textDecoration: 'none' }}>
      {card.pictureId !== null && (
        <img
          src={`/api/pictures/${card.pictureId}`}
          alt=""
          style={{ width: '100%', height: 150, objectFit: 'cover', display: 'block' }}
        />
      )}
      <Flex height="44px">
        {card.colours.map((c, i) => (
          <Box
            key={i}
            style={{ background: `#${hexOf(xyzOfLab(c))}`, width: `${(100 * (c.share ?? HAND_SHARE)) / whole}%` }}
          />
        ))}
      </Flex>
      <Box fontWeight={600} marginTop={1}>
        {card.name}
      </Box>
      <Caption>{card.colours.length === 1 ? 'one colour' : `${card.colours.length} colours`}</Caption>
    </Link>
  );
}
