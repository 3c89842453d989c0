import { MATERIAL_KINDS, type Material, type MaterialKind } from '#core/material';
import { Type } from 'class-transformer';
import { IsIn, IsObject, ValidateBy, ValidateNested } from 'class-validator';
import { Between, Id, Omittable, all } from './rules.js';

/** What a thing is made of, on the wire: core's `Material`. */
export class MaterialDto {
  @IsIn(MATERIAL_KINDS, { message: 'A thing is made of a clay, a mix, a blend, a cane or something made before.' })
  kind!: MaterialKind;
  @Id() id!: string;
  /** a place on the fade of a blend, from its first colour to its last; left out: the whole fade */
  @Omittable() @Between('A place on the fade', 0, 1, '') at?: number;
}

interface Taking {
  readonly takes: readonly MaterialKind[];
  /** why not the others, as it is told to a person */
  readonly because: string;
}

/** The places that ask what they are made of, and what each takes: for the rule below, and for the picker. */
export const TAKES = {
  pattern: { takes: ['clay', 'mix', 'blend'], because: 'A patterned sheet is made of clays, mixes and fades.' },
  slices: { takes: ['cane'], because: 'Slices are cut of a cane.' },
  ingredient: {
    takes: ['clay', 'mix'],
    because: 'Parts of a mix are clays and mixes: a blend or a cane has several colours, and stirred in they are one.',
  },
  chosen: {
    takes: ['clay', 'mix'],
    because: 'This works with one colour, of a clay or a mix: a blend or a cane has several.',
  },
  corrected: { takes: ['mix'], because: 'What is corrected is a mix: a clay is as its packet has it.' },
  layer: {
    takes: ['clay', 'mix', 'pattern', 'made', 'scrap'],
    because:
      'A layer is rolled of a clay, a mix, a sheet or a lump that lies there, or of scrap, or is a patterned sheet. ' +
      'A fade is made first: then its sheet lies there.',
  },
  part: {
    takes: ['clay', 'mix', 'blend', 'cane', 'pattern', 'made', 'scrap'],
    because: 'A part is made of clay, of a mix, a fade, a cane, a patterned sheet, or of what lies there.',
  },
  left: { takes: ['clay', 'mix', 'blend'], because: 'What is left over is told by its clays, mixes and blends.' },
  taken: { takes: ['made', 'scrap'], because: 'What is taken here lies there already, or is scrap of a tub.' },
  noted: {
    takes: ['clay', 'mix', 'blend', 'cane'],
    because: 'What lies there is of a clay, a mix, a blend or a cane that Sledge knows.',
  },
  colour: {
    takes: ['clay', 'mix'],
    because: 'A blend runs between clays and mixes of one colour: a fade inside a fade would be lost in folding.',
  },
  sheet: {
    takes: ['clay', 'mix'],
    because: 'A plain sheet is one clay or one mix: sheets with a fade are rolled at the blends.',
  },
  log: {
    takes: ['clay', 'mix'],
    because: 'Here it is one colour. A fade goes into a plug or a region, another cane into a step of its own.',
  },
  plug: { takes: ['blend'], because: 'A plug is wound of a blend: of one colour it is a log.' },
} as const satisfies Readonly<Record<string, Taking>>;

export type Place = keyof typeof TAKES;
/** What a place takes. */
export type TakenBy<P extends Place> = Extract<Material, { kind: (typeof TAKES)[P]['takes'][number] }>;

/** Whether a place takes a material: of a blend the whole fade. */
export function takes<P extends Place>(place: P, material: Material): material is TakenBy<P> {
  const kinds: readonly MaterialKind[] = TAKES[place].takes;
  return kinds.includes(material.kind) && !(material.kind === 'blend' && material.at !== undefined);
}

/** What has no kind is told so by the class. */
const isTaken = (place: Place, value: unknown): boolean =>
  !(value instanceof MaterialDto) || takes(place, value as Material);
const OnlyTaken = (place: Place, each: boolean): PropertyDecorator =>
  ValidateBy({
    name: 'takes',
    validator: {
      validate: (value: unknown) =>
        each && Array.isArray(value) ? value.every((v) => isTaken(place, v)) : isTaken(place, value),
      defaultMessage: () => TAKES[place].because,
    },
  });

/** The one rule for what a thing is made of. @param missing the sentence where nothing is said */
export const MadeOf = (place: Place, missing: string): PropertyDecorator =>
  all(
    IsObject({ message: missing }),
    ValidateNested(),
    Type(() => MaterialDto),
    OnlyTaken(place, false),
  );

/** Beside the rules for a list of {@link MaterialDto}: each of a kind that the place takes. */
export const EachMadeOf = (place: Place): PropertyDecorator => OnlyTaken(place, true);
