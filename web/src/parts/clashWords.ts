/** What ids stand for. */
export type NameOf = (id: string) => string | undefined;

/** Fields that a person would call something else than their name says. */
const FIELDS: Readonly<Record<string, string>> = {
  dueOn: 'due', madeOn: 'made on', leftGrams: 'left', netGrams: 'net weight', rawHex: 'raw colour', bakedHex: 'baked colour',
  bakeC: 'baking temperature', bakeMinutes: 'baking minutes', bakePerMm: 'thickness for the baking time', maxC: 'maximum temperature',
  rollerWidthMm: 'roller width', discMm: 'disc', discSettingId: 'setting of the disc', machineId: 'own machine', cardMm: 'card', roomC: 'room',
  widthMm: 'width', lengthMm: 'length', heightMm: 'height', mm: 'thickness', sliceMm: 'thickness of slices', program: 'steps', plan: 'how it is cut',
  ingredients: 'recipe', clayId: 'clay', revisionId: 'mix', settingId: 'setting', lineId: 'line', wantedHex: 'colour wanted', gone: 'used up',
};

/** `leftGrams` as `left`, `strength` as `strength`, `someThing` as `some thing`. */
export function fieldWords(field: string): string {
  return FIELDS[field] ?? field.replace(/Id$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** Fields that say which thing it is, or where it stands, and nothing of what it is like. */
const SILENT = new Set(['id', 'version', 'position', 'kind', 'do']);
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const KEYED = /^(clay|mix|blend):(.+)$/;
const MOST_LETTERS = 400;

function textWords(text: string, nameOf: NameOf): string {
  const id = KEYED.exec(text)?.[2] ?? text;
  if (UUID.test(id)) return nameOf(id) ?? 'something that is not there any more';
  return text === '' ? 'nothing' : text;
}

function listWords(list: readonly unknown[], nameOf: NameOf): string {
  return list.length === 0 ? 'none' : list.map((item) => plainWords(item, nameOf)).filter((words) => words !== '').join(' + ');
}

function thingWords(thing: object, nameOf: NameOf): string {
  if ('parts' in thing) {
    const { parts, clayId, revisionId } = thing as { parts: unknown; clayId?: unknown; revisionId?: unknown };
    return `${String(parts)} ${plainWords(clayId ?? revisionId ?? '', nameOf)}`;
  }
  return Object.entries(thing)
    .filter(([field, value]) => !SILENT.has(field) && value !== null && value !== '' && value !== false)
    .map(([field, value]) => (field === 'name' ? plainWords(value, nameOf) : `${fieldWords(field)} ${plainWords(value, nameOf)}`))
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

/** A value of a thing in words, without an id in it. */
export function valueWords(value: unknown, nameOf: NameOf): string {
  const words = plainWords(value, nameOf);
  return words.length > MOST_LETTERS ? `${words.slice(0, MOST_LETTERS)} …` : words;
}
