import { grey } from './grey.js';

/** A screen that is held in a hand, or leans at the bench: a phone, or a tablet upright. */
export const NARROW_QUERY = '(max-width: 900px)';
/** For styles: a screen that is held. */
export const NARROW = `@media ${NARROW_QUERY}` as const;
/** For styles: what is pressed with a finger. */
export const TOUCHED = `@media ${NARROW_QUERY}, (pointer: coarse)` as const;
/** What stood side by side, one below the other. */
export const STACKED = { gridTemplateColumns: 'minmax(0, 1fr)', gap: '16px' } as const;

/** The one number of a step and the ways on, where a thumb finds them: they stay below while the rest is scrolled. */
export const AT_THUMB = {
  flexDirection: 'row',
  gap: '8px',
  position: 'sticky',
  bottom: 0,
  background: grey.bench,
  paddingBlock: '8px',
  borderTop: `1px solid ${grey.ink}`,
  '& > button': { minHeight: '124px', padding: '6px', flex: 1 },
  '& > div': { gridTemplateColumns: '128px', gap: '8px' },
  '& [data-figure]': { fontSize: '48px', '@media (min-width: 600px)': { fontSize: '96px' } },
  '& [data-of]': { fontSize: '16px', marginTop: '2px' },
  '& [data-hint]': { display: 'none' },
} as const;
