import { isMaterial, materialIn } from '#core/material';
import { same } from '../wire/join.js';

/** What ids stand for. */
export type NameOf = (id: string) => string | undefined;

/** Fields that a person would call something else than their name says. */
const FIELDS: Readonly<Record<string, string>> = {
  dueOn: 'due',
  madeOn: 'made on',
  leftGrams: 'left',
  netGrams: 'net weight',
  rawHex: 'raw colour',
  bakedHex: 'baked colour',
  edgeHex: 'colour of the edges of its flakes',
  bakeC: 'baking temperature',
  bakeMinutes: 'baking minutes',
  bakePerMm: 'thickness for the baking time',
  maxC: 'maximum temperature',
  rollerWidthMm: 'roller width',
  discMm: 'disc',
  discSettingId: 'setting of the disc',
  machineId: 'own machine',
  cardMm: 'card',
  roomC: 'room',
  widthMm: 'width',
  lengthMm: 'length',
  heightMm: 'height',
  mm: 'thickness',
  sliceMm: 'thickness of slices',
  program: 'steps',
  plan: 'how it is cut',
  ingredients: 'recipe',
  of: 'clay',
  clayId: 'clay',
  colours: 'colours',
  revisionId: 'mix',
  settingId: 'setting',
  lineId: 'line',
  wantedHex: 'colour wanted',
  gone: 'used up',
};

/** `leftGrams` as `left`, `strength` as `strength`, `someThing` as `some thing`. */
export function fieldWords(field: string): string {
  return FIELDS[field] ?? field.replace(/Id$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** Fields that say which thing it is, or where it stands, and nothing of what it is like. */
const SILENT = new Set(['id', 'version', 'position', 'kind', 'do']);
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const MOST_LETTERS = 400;

function textWords(text: string, nameOf: NameOf): string {
  const id = materialIn(text)?.id ?? text;
  if (UUID.test(id)) return nameOf(id) ?? 'another one';
  return text === '' ? 'nothing' : text;
}

function listWords(list: readonly unknown[], nameOf: NameOf): string {
  return list.length === 0
    ? 'none'
    : list
        .map((item) => plainWords(item, nameOf))
        .filter((words) => words !== '')
        .join(' + ');
}

function thingWords(thing: object, nameOf: NameOf): string {
  if ('parts' in thing) {
    const { parts, of } = thing as { parts: unknown; of?: unknown };
    return `${String(parts)} ${plainWords(of ?? '', nameOf)}`;
  }
  if (isMaterial(thing)) return textWords(thing.id, nameOf);
  return Object.entries(thing)
    .filter(([field, value]) => !SILENT.has(field) && value !== null && value !== '' && value !== false)
    .map(([field, value]) =>
      field === 'name' ? plainWords(value, nameOf) : `${fieldWords(field)} ${plainWords(value, nameOf)}`,
    )
    .join(', ');
}

function plainWords(value: unknown, nameOf: NameOf): string {
  if (value === null || value === undefined) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (typeof value === 'string') return textWords(value, nameOf);
  if (Array.isArray(value)) return listWords(value, nameOf);
  return thingWords(value as object, nameOf);
}

const short = (words: string): string => (words.length > MOST_LETTERS ? `${words.slice(0, MOST_LETTERS)} …` : words);

/** A value of a thing in words, without an id in it. */
export const valueWords = (value: unknown, nameOf: NameOf): string => short(plainWords(value, nameOf));

interface Named {
  readonly id: string;
  readonly name?: unknown;
}
const isNamed = (value: unknown): value is Named =>
  typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string';
const areNamed = (list: unknown): list is readonly Named[] => Array.isArray(list) && list.every(isNamed);
const isThing = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const nameIn = (thing: Named, nameOf: NameOf): string =>
  typeof thing.name === 'string' && thing.name !== '' ? thing.name : (nameOf(thing.id) ?? '');

function listDifference(own: readonly Named[], other: readonly Named[], nameOf: NameOf): string {
  const others = new Map(other.map((thing) => [thing.id, thing]));
  const there = new Set(own.map((thing) => thing.id));
  const mine = own.flatMap((thing): string[] => {
    const theirs = others.get(thing.id);
    if (!theirs) return [`with ${thingWords(thing, nameOf)}`];
    return same(thing, theirs) ? [] : [`${nameIn(thing, nameOf)} ${thingDifference(thing, theirs, nameOf)}`.trim()];
  });
  const gone = other
    .filter((thing) => !there.has(thing.id))
    .map((thing) => `without ${nameIn(thing, nameOf) || thingWords(thing, nameOf)}`);
  return [...mine, ...gone].join(', ');
}

function thingDifference(own: object, other: object, nameOf: NameOf): string {
  const others = other as Readonly<Record<string, unknown>>;
  return Object.entries(own)
    .filter(([field, value]) => !SILENT.has(field) && !same(value, others[field]))
    .map(([field, value]) => `${fieldWords(field)} ${difference(value, others[field], nameOf)}`)
    .join(', ');
}

function difference(own: unknown, other: unknown, nameOf: NameOf): string {
  if (areNamed(own) && areNamed(other)) return listDifference(own, other, nameOf);
  if (isThing(own) && isThing(other)) return thingDifference(own, other, nameOf);
  return plainWords(own, nameOf);
}

/** A value in words, only where it differs from another one: of a list with names, what is another there. */
export const differenceWords = (own: unknown, other: unknown, nameOf: NameOf): string =>
  short(difference(own, other, nameOf));
