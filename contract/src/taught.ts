import { IsBoolean } from 'class-validator';

/** What a bench teaches. */
export const TAUGHT_KINDS = ['passes', 'minutes', 'ends', 'sheen', 'blends', 'breakage', 'stop'] as const;
export type TaughtKind = (typeof TAUGHT_KINDS)[number];

/** Keys of figures that a bench teaches, by which they can be set aside. */
export const passesKey = (lineId: string): string => `passes ${lineId}`;
export const minutesKey = (step: string): string => `minutes ${step}`;
export const breakageKey = (lineId: string): string => `breakage ${lineId}`;
export const ENDS_KEY = 'ends';
export const STOP_KEY = 'stop';
export const SHEEN_KEY = 'sheen';
export const BLENDS_KEY = 'blends';

/** One figure: what is assumed, and what was counted. */
export interface TaughtFigure {
  readonly key: string;
  readonly kind: TaughtKind;
  /** of the line or of the step; empty where there is only one */
  readonly name: string;
  /** in the unit of its kind: passes, times as long, widths, passes, passes, a share, mm */
  readonly assumed: number;
  readonly learned: number;
  /** countings that it rests on, and how many of them hardly count */
  readonly from: number;
  readonly odd: number;
  /** how far it may be off, as a share (one standard deviation) */
  readonly off: number;
  /** not used, though it was learned */
  readonly aside: boolean;
}

/** GET /api/taught: what the bench has taught, and what would teach most next. */
export interface TaughtAnswer {
  readonly figures: readonly TaughtFigure[];
  /** keys, the one that would teach most first */
  readonly next: readonly string[];
}

/** PUT /api/taught/:key */
export class AsideDto {
  @IsBoolean({ message: 'A figure is used, or set aside.' }) aside!: boolean;
}
