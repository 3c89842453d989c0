import { Box, Flex, Grid } from '@chakra-ui/react';
import { useRef, useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { hexOf, xyzOfLab } from '#core/colour';
import { sentenceOf } from '#core/units';
import type { PaletteCard, ShelfAnswer } from '#contract';
import { Reading } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { Action, Caption, Key, Second } from '../../../theme/pieces.js';
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
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
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

interface OpenBoxProps {
  readonly opening: ReturnType<typeof useOpening>;
  /** nothing else is there to do */
  readonly main: boolean;
}

/** Where a photograph is opened. */
function OpenBox({ opening: { busy, wrong, open }, main }: OpenBoxProps): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  const ask = (): void => {
    input.current?.click();
  };
  useKeys('Palettes', [{ key: 'o', does: 'Open a photograph', run: ask }]);
  return (
    <Box border="dashed" padding={5}>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label="Photograph to open"
        style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
        tabIndex={-1}
        onChange={(e) => {
          void open(e.currentTarget.files?.[0]);
          e.currentTarget.value = '';
        }}
      />
      <Action main={main} disabled={busy} onClick={ask}>
        {busy ? 'Opening …' : 'Open a photograph'} <Key>O</Key>
      </Action>
      <Second> or drop one here. It stays on this machine.</Second>
      {wrong !== null && (
        <Box marginTop={3}>
          <Warning>{wrong}</Warning>
        </Box>
      )}
    </Box>
  );
}

function AllPalettes(): ReactElement {
  const all = usePalettes();
  const opening = useOpening();
  if (!all.data) return <Reading error={all.error} />;
  const none = all.data.length === 0;
  return (
    <Flex
      direction="column"
      gap={5}
      padding={5}
      overflowY="auto"
      minWidth={0}
      onDragOver={(e) => {
        e.preventDefault();
      }}
      onDrop={(e) => {
        e.preventDefault();
        void opening.open(e.dataTransfer.files[0]);
      }}
    >
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Colours of a photograph</h1>
        <Second>each with the mix of your clays that comes nearest</Second>
      </Flex>
      <OpenBox opening={opening} main={none} />
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
    </Flex>
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
