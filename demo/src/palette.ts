/** The cast of the drawn photograph, as its grey card gives it. */
export const PALETTE_CAST = { gainR: 0.8332, gainG: 1.0228, gainB: 1.5839 } as const;

/** The seven colours that Sledge takes from the drawn photograph once the card is grey. */
export const PALETTE: readonly {
  readonly name: string;
  readonly lab: readonly [number, number, number];
  readonly share: number;
}[] = [
  { name: 'board and flesh', lab: [72.3, 0.2, 3.4], share: 0.539 },
  { name: 'light ring of beetroot', lab: [47.8, 35.4, -6.2], share: 0.138 },
  { name: 'carrot', lab: [54.4, 32.9, 46.6], share: 0.116 },
  { name: 'dark ring of beetroot', lab: [28.3, 39, -5.6], share: 0.106 },
  { name: 'leek, inside', lab: [65, -18.8, 29.3], share: 0.057 },
  { name: 'radish rim', lab: [43.2, 53.9, 12.4], share: 0.031 },
  { name: 'leek, outside', lab: [41.8, -24.5, 21.7], share: 0.014 },
];
