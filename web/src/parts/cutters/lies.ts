import type { CutterDto } from '#contract';

/** The way round that shows most of the fade in each piece: its longer side along it. */
export const mostContrast = ({ widthMm, heightMm }: Pick<CutterDto, 'widthMm' | 'heightMm'>): 'upright' | 'sideways' =>
  widthMm >= (heightMm ?? widthMm) ? 'upright' : 'sideways';

/** How pieces lie on a fade. */
export const LIE_OPTIONS = [
  { value: 'close', text: 'as close as they go' },
  { value: 'upright', text: 'upright, the fade from side to side of each' },
  { value: 'sideways', text: 'on their side, the fade from end to end of each' },
] as const;
