/** The chip board: name, recipe in notation, and the basis where it is weighed. Later ones may use earlier ones. */
export const mixes: readonly {
  readonly name: string;
  readonly notation: string;
  readonly basis: 'volume' | 'mass';
  readonly note: string;
}[] = [
  { name: 'Radish skin', notation: '3 Radish + 1 Beetroot + ½ Chalk', basis: 'volume', note: '' },
  { name: 'Radish flesh', notation: '12 Chalk + ¼ Radish', basis: 'volume', note: 'a breath of pink, no more' },
  { name: 'Squash flesh', notation: '2 Squash + 1 Chalk', basis: 'volume', note: '' },
  { name: 'Outer leek', notation: '2 Leek + 1 Corn', basis: 'volume', note: '' },
  { name: 'Young leek', notation: '1 Pea + 1 Corn + ½ Chalk', basis: 'volume', note: '' },
  { name: 'Cabbage vein', notation: '3 Aubergine + 1 Beetroot', basis: 'volume', note: '' },
  { name: 'Cabbage leaf', notation: '1 Cabbage vein + 2 Turnip', basis: 'volume', note: '' },
  { name: 'Swede', notation: '3 Chalk + 1 Carrot', basis: 'volume', note: '' },
  { name: 'Old tin', notation: '2 Pewter Lustre + ½ Soot', basis: 'volume', note: 'buckles and handles' },
  { name: 'Beet ring', notation: '4 Chalk + 1 Beetroot', basis: 'volume', note: 'the light rings of a cut beetroot' },
  { name: 'Pea pod', notation: '3 Pea + 1 Leek', basis: 'volume', note: '' },
  { name: 'Corn milk', notation: '6 Chalk + 1 Corn', basis: 'volume', note: '' },
  { name: 'Carrot glass', notation: '8 Clearpane + ¼ Carrot', basis: 'volume', note: 'for the lace, thin' },
  { name: 'Leek mist', notation: '6 Clearpane + ¼ Leek', basis: 'volume', note: 'for the lace, thin' },
  { name: 'Beet glass', notation: '12 Clearpane + ⅛ Beetroot', basis: 'volume', note: 'for the lace, thin' },
  { name: 'Corn glass', notation: '8 Clearpane + ¼ Corn', basis: 'volume', note: 'for the lace, thin' },
  { name: 'Pea glass', notation: '8 Clearpane + ¼ Pea', basis: 'volume', note: 'for the lace, thin' },
  { name: 'Radish glass', notation: '10 Clearpane + ⅛ Radish', basis: 'volume', note: 'for the lace, thin' },
  { name: 'Romanesco', notation: '2 Pea + 1 Corn + ¼ Leek', basis: 'volume', note: '' },
  { name: 'Aubergine sheen', notation: '3 Aubergine + 1 Pewter Lustre', basis: 'volume', note: '' },
  { name: 'Brass dust', notation: '1 Brass Lustre + 1 Clearpane', basis: 'volume', note: '' },
  { name: 'Turnip top', notation: '2 Turnip + 1 Radish', basis: 'volume', note: '' },
  { name: 'Pumpkin seed', notation: '4 Chalk + 1 Corn + ¼ Carrot', basis: 'volume', note: '' },
  { name: 'Garden soil', notation: '2 Soot + 1 Carrot', basis: 'volume', note: '' },
  {
    name: 'Basket straw',
    notation: '20 Corn + 10 Squash + 12 Chalk',
    basis: 'mass',
    note: 'weighed, for the big basket',
  },
];
