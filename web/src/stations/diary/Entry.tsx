import { swatch } from '../../parts/swatch.js';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { SHEET_FORMS } from '#contract';
import { OneBake } from './OneBake.js';
import { OnePattern } from './OnePattern.js';
import { Photographs } from './Photographs.js';
import { WentWrong } from './trouble/WentWrong.js';
import { flowWords, sizeWords } from '../shelf/there/thereWords.js';
import { Link } from 'react-router';
import { showLength, showMass, showSize, showTemperature, type UnitSystem } from '#core/units';
import type { DiaryAnswer } from '#contract/diary';
import { AmountBar } from '../../parts/AmountBar.js';
import { Chip } from '../../parts/Chip.js';
import { EntryHead } from './EntryHead.js';
import { HowItWent } from '../../parts/HowItWent.js';
import { useUnits } from '../../state/view.js';
import { Caption, Note } from '../../theme/pieces.js';
import { ChipFromPhotograph } from './ChipFromPhotograph.js';
import { LaidOver } from './LaidOver.js';
import { saveEntry } from './saveEntry.js';

type Of<K extends keyof DiaryAnswer> = DiaryAnswer[K] extends readonly (infer T)[] ? T : never;

interface EntryProps {
  readonly entry: DiaryAnswer;
}

/** The way to all that was made near a colour. */
function MadeNear({ hex }: { readonly hex: string }): ReactElement {
  return (
    <Box fontSize="small">
      <Link to={`/diary?near=${hex}`}>made near it</Link>
    </Box>
  );
}

/** The mixes it was made from, as chips. */
function Mixes({ entry }: EntryProps): ReactElement {
  const units = useUnits();
  return (
    <>
      {entry.mixes.length > 0 && (
        <Box as="h2" borderTop="rule" paddingTop={4}>
          Made from
        </Box>
      )}
      <Flex gap={5} wrap="wrap">
        {entry.mixes.map((m) => (
          <Box key={m.revisionId}>
            <Link to={`/mixes/${m.mixId}`} style={{ textDecoration: 'none' }}>
              <Chip hex={m.hex} width={150} height={116} />
              <Box fontWeight={600} marginTop={1} maxWidth="150px">
                {m.name}
              </Box>
              <Box maxWidth="150px" lineHeight={1.3}>
                <Caption>{m.notation}</Caption>
              </Box>
              <Caption>
                revision {m.number} · {showMass(m.grams, units)}
              </Caption>
            </Link>
            <MadeNear hex={m.hex} />
          </Box>
        ))}
      </Flex>
    </>
  );
}

function OneBlend({ blend: b }: { readonly blend: Of<'blends'> }): ReactElement {
  return (
    <Link to={`/blends/${b.blendId}`} style={{ textDecoration: 'none' }}>
      <Box height="60px" width="420px" maxWidth="100%" style={{ background: swatch(b.hexes) }} aria-hidden />
      <Box fontWeight={600} marginTop={1}>
        {b.name}
      </Box>
      <Caption>
        revision {b.number} · free of streaks after {b.passes} passes
      </Caption>
    </Link>
  );
}

/** px of a photograph. */
const PHOTOGRAPH = 150;

function OneCane({ cane: c }: { readonly cane: Of<'canes'> }): ReactElement {
  const units = useUnits();
  return (
    <Flex gap={4} alignItems="flex-end">
      {c.pictureId !== null && (
        <img
          src={`/api/pictures/${c.pictureId}`}
          alt="The face as it came out"
          style={{ width: PHOTOGRAPH, height: PHOTOGRAPH, objectFit: 'cover' }}
        />
      )}
      <Box>
        <Link to={`/canes/${c.caneId}`}>
          <b>{c.name}</b>
        </Link>{' '}
        <Caption>revision {c.number}</Caption>
        <br />
        {showLength(c.diameterMm, units)} across, {showLength(c.lengthMm, units)} long; its ends took{' '}
        {showLength(c.lostMm, units)} · {c.slices} {c.slices === 1 ? 'slice' : 'slices'}
      </Box>
    </Flex>
  );
}

/** A sheet in words: its size, its thickness, its setting. */
function sheetWords(s: Of<'sheets'>, units: UnitSystem): string {
  if (s.form === 'plug' || s.form === 'fan') return 'wound up to a plug';
  if (s.form !== 'sheet') return sizeWords({ ...s, count: s.count }, units);
  const at = s.rolledAt === '' ? '' : `, at ${s.rolledAt}`;
  return `${showSize(s.widthMm, s.lengthMm, units)}, ${showLength(s.mm, units, true)} thick${at}`;
}

/** px of a plug, px for a mm of a sheet, and the most. */
const [PLUG, PER_MM, LONGEST] = [52, 1.6, 420];

function OneSheet({ sheet: s }: { readonly sheet: Of<'sheets'> }): ReactElement {
  const units = useUnits();
  const width = s.form === 'sheet' ? Math.min(LONGEST, s.lengthMm * PER_MM) : PLUG;
  const inBook = SHEET_FORMS.includes(s.form);
  return (
    <Link to={inBook ? `/sheets/book/${s.sheetId}` : `/shelf/there/${s.sheetId}`} style={{ textDecoration: 'none' }}>
      <Box
        height={`${PLUG}px`}
        style={{ width, borderRadius: s.form === 'sheet' || s.form === 'fan' ? 0 : '50%', background: swatch(s.hexes) }}
        aria-hidden
      />
      <Box fontWeight={600} marginTop={1}>
        {s.name}
      </Box>
      <Caption>
        {sheetWords(s, units)} · {inBook ? 'in the sheet book' : 'among what lies there'}
      </Caption>
    </Link>
  );
}

/** What else it was made from, and what became of it. */
function Flows({ entry }: EntryProps): ReactElement | null {
  const units = useUnits();
  const told = entry.flows.filter((f) => f.grams >= HARDLY_ANY);
  if (told.length === 0) return null;
  return (
    <Box maxWidth="560px">
      <Box as="h2" marginBottom={2}>
        From and to
      </Box>
      <Box as="ul" aria-label="From and to">
        {told.map((f, i) => (
          <li key={i}>{flowWords(f, units)}</li>
        ))}
      </Box>
    </Box>
  );
}

/** g that nobody weighs. */
const HARDLY_ANY = 0.05;

/** The clay that went into it. */
function ClayWent({ entry }: EntryProps): ReactElement | null {
  const units = useUnits();
  const longest = Math.max(0, ...entry.clays.map((c) => c.grams));
  if (entry.clays.length === 0) return null;
  return (
    <Box borderTop="rule" paddingTop={4} maxWidth="560px">
      <Box as="h2" marginBottom={3}>
        Clay used
      </Box>
      <Flex as="ul" direction="column" gap={2}>
        {entry.clays.map((c) => (
          <li key={c.clayId}>
            <Flex justifyContent="space-between" fontSize="small">
              <b>{c.name}</b>
              {showMass(c.grams, units)}
            </Flex>
            <AmountBar grams={c.grams} short={0} longest={longest} hex={c.hex} />
          </li>
        ))}
      </Flex>
    </Box>
  );
}

/** How it went: said at *Done*, or later. */
function Went({ entry }: EntryProps): ReactElement {
  return (
    <HowItWent
      outcome={entry.outcome}
      onChange={(outcome) => {
        saveEntry(entry, { outcome });
      }}
    />
  );
}

/** What the maker wrote; saved when it is left. */
function Words({ entry }: EntryProps): ReactElement {
  const [text, setText] = useState<string | null>(null);
  const keep = (): void => {
    if (text !== null && text !== entry.note) saveEntry(entry, { note: text });
    setText(null);
  };
  return (
    <Box maxWidth="560px">
      <Box as="h2" marginBottom={2}>
        Note
      </Box>
      <Note
        aria-label="Note"
        placeholder="What to do next time?"
        value={text ?? entry.note}
        onChange={(e) => {
          setText(e.currentTarget.value);
        }}
        onBlur={keep}
      />
    </Box>
  );
}

/** One entry: what was made, from what, and how it went. */
export function Entry({ entry }: EntryProps): ReactElement {
  const units = useUnits();
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <EntryHead entry={entry} />
      <Went entry={entry} />
      <Photographs entry={entry} />
      <LaidOver entry={entry} />
      <ChipFromPhotograph entry={entry} />
      <Mixes entry={entry} />
      {entry.blends.map((b) => (
        <OneBlend key={b.blendId} blend={b} />
      ))}
      {entry.canes.map((c) => (
        <OneCane key={c.caneId} cane={c} />
      ))}
      {entry.patterns.map((p) => (
        <OnePattern key={p.patternId} pattern={p} />
      ))}
      {entry.sheets.map((s) => (
        <OneSheet key={s.sheetId} sheet={s} />
      ))}
      {entry.bakes.map((b, i) => (
        <OneBake key={i} bake={b} />
      ))}
      {entry.conditioned.map((c) => (
        <Box key={c.clayId}>
          {c.name} folded without a crack after <b>{c.passes}</b> passes ({c.school}), in a room of{' '}
          {showTemperature(c.roomC, units)}.
        </Box>
      ))}
      <ClayWent entry={entry} />
      <Flows entry={entry} />
      <WentWrong entry={entry} />
      <Words entry={entry} />
    </Flex>
  );
}
