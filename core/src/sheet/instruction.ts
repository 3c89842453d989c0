import { Complaint, complaint, readLength, readNumber, type Mm, type UnitSystem } from '#core/units';
import { ASSUMED_CARD, CARD_SPREAD, MEASURED_CARD_SPREAD } from './card.js';
import { dialLabels, type Machine } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';

/** A thickness somebody asks for: where it comes from and how sure it is. */
export interface Asked {
  readonly mm: Mm;
  readonly sigmaMm: Mm;
  /** the machine and its setting, where one was named that is known here */
  readonly machine: Machine | null;
  readonly label: string | null;
  /** it rests on a machine or a card that nobody has measured */
  readonly assumed: boolean;
}

/** What an instruction is read with. */
export interface Reader {
  readonly machines: readonly Machine[];
  /** whose settings “my 3” are; null: none yet */
  readonly own: Machine | null;
  /** thickness of a playing card; null: nobody has measured one */
  readonly cardMm: Mm | null;
  readonly system: UnitSystem;
}

/** Settings of a machine of which nothing is said: an assumption. */
const USUAL_SETTINGS = 9;
const MOST_SETTINGS = 20;
const MOST_LAYERS = 12;

const COUNTS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
const COUNT = `${COUNTS.join('|')}|\\d+`;

const countOf = (text: string): number => (COUNTS.includes(text.toLowerCase()) ? COUNTS.indexOf(text.toLowerCase()) + 1 : Number(text));
const named = (text: string): string => text.trim().toLowerCase().replace(/^(the|my|your)\s+/, '');

function findMachine(name: string, machines: readonly Machine[]): Machine {
  const wanted = named(name);
  const exact = machines.filter((m) => m.name.toLowerCase() === wanted);
  const loose = machines.filter((m) => m.name.toLowerCase().includes(wanted));
  const found = exact[0] ?? (loose.length === 1 ? loose[0] : undefined);
  if (!found) throw complaint('machine/unknown', { name: name.trim(), machines: machines.map((m) => m.name).join(', ') || 'none' });
  return found;
}

function settingOf(label: string, machine: Machine): Asked {
  const all = thicknesses(machine);
  const found = all.find((s) => s.label.toLowerCase() === label.toLowerCase());
  if (!found) throw complaint('setting/unknown', { label, machine: machine.name, labels: all.map((s) => s.label).join(', ') });
  return { mm: found.mm, sigmaMm: found.sigmaMm, machine, label: found.label, assumed: found.knowledge === 'assumed' };
}

/** The settings of a machine that nobody has: only what its dial looks like is known. */
const strange = (labels: readonly string[]): SettingThickness[] =>
  thicknesses({ id: '', name: '', rollerWidthMm: 145, settings: labels.map((label) => ({ id: label, label })), readings: [] });
const assumedAt = (all: readonly SettingThickness[], at: number): Asked | null => {
  const setting = all[at];
  return setting ? { mm: setting.mm, sigmaMm: setting.sigmaMm, machine: null, label: null, assumed: true } : null;
};

/** `third thickest`, `second thinnest of nine`. */
function byRank(text: string): Asked | null {
  const found = new RegExp(`^(?:the\\s+)?(?:(${ORDINALS.join('|')}|\\d+(?:st|nd|rd|th))\\s+)?(thickest|widest|thinnest|finest)(?:\\s+setting)?(?:\\s+of\\s+(${COUNT}))?$`, 'i').exec(text);
  if (!found) return null;
  const rank = found[1] === undefined ? 1 : ORDINALS.includes(found[1].toLowerCase()) ? ORDINALS.indexOf(found[1].toLowerCase()) + 1 : parseInt(found[1], 10);
  const count = found[3] === undefined ? USUAL_SETTINGS : countOf(found[3]);
  if (count < 2 || count > MOST_SETTINGS || rank > count) throw complaint('instruction/rank', { rank, count });
  const fromWidest = /thickest|widest/i.test(found[2] ?? '');
  return assumedAt(strange(Array.from({ length: count }, (_, i) => String(i))), fromWidest ? rank - 1 : count - rank);
}

/** `3 where 0 is widest, ten settings`, `4 on a machine where 7 is the thickest`. */
function byDial(text: string): Asked | null {
  const found = new RegExp(`^(?:setting\\s+)?(\\S+)\\s+(?:on\\s+(?:a|the)\\s+machine\\s+)?where\\s+(\\S+)\\s+is\\s+(?:the\\s+)?(widest|thickest|thinnest|finest)(?:,?\\s*(?:of|with|and)?\\s*(${COUNT})\\s+settings?)?$`, 'i').exec(text);
  if (!found) return null;
  const [, label = '', end = '', which = '', said] = found;
  const [at, from] = [readNumber(label).valueOf(), readNumber(end).valueOf()];
  const endIsWidest = /widest|thickest/i.test(which);
  // a dial that begins at 0 or 1 counts up from there; one that begins higher counts down to 1
  const count = said === undefined ? (from > 1 ? Math.round(from) : USUAL_SETTINGS + (from === 0 ? 1 : 0)) : countOf(said);
  if (count < 2 || count > MOST_SETTINGS) throw complaint('instruction/rank', { rank: at, count });
  const other = from > 1 ? from - count + 1 : from + count - 1;
  const labels = endIsWidest ? dialLabels(String(from), String(Math.max(0, other)), '1') : dialLabels(String(Math.max(0, other)), String(from), '1');
  const place = labels.indexOf(String(at));
  if (place < 0) throw complaint('setting/unknown', { label, machine: 'Such a machine', labels: labels.join(', ') });
  return assumedAt(strange(labels), place);
}

/** `four layers of my 3`, `2 sheets of 1.5 mm`. */
function byLayers(text: string, reader: Reader): Asked | null {
  const found = new RegExp(`^(${COUNT})\\s*(?:layers?|sheets?|times|×|x)\\s+(?:of\\s+)?(.+)$`, 'i').exec(text);
  if (!found?.[1] || !found[2]) return null;
  const count = countOf(found[1]);
  if (count < 1 || count > MOST_LAYERS) throw complaint('unit/range', { what: 'The number of layers', low: '1', high: String(MOST_LAYERS) });
  const one = readInstruction(found[2], reader);
  return { ...one, mm: one.mm * count, sigmaMm: one.sigmaMm * count };
}

function byCards(text: string, cardMm: Mm | null): Asked | null {
  const found = new RegExp(`^(${COUNT})\\s+(?:playing\\s+)?cards?(?:\\s+thick)?$`, 'i').exec(text);
  if (!found?.[1]) return null;
  const count = countOf(found[1]);
  const one = cardMm ?? ASSUMED_CARD;
  return { mm: count * one, sigmaMm: count * one * (cardMm === null ? CARD_SPREAD : MEASURED_CARD_SPREAD), machine: null, label: null, assumed: cardMm === null };
}

/** `my 3`, `setting 3`, `setting 3 of Blue travel crank`, `3 on the blue`. */
function bySetting(text: string, { machines, own }: Reader): Asked | null {
  const mine = /^(?:(?:my|your)\s+(?:setting\s+)?|setting\s+)(\S+(?:\s\d+\/\d+)?)$/i.exec(text);
  if (mine?.[1] !== undefined && own) return settingOf(mine[1], own);
  const setting = /^(?:setting\s+)?(\S+(?:\s\d+\/\d+)?)\s+(?:of|on|at)\s+(.+)$/i.exec(text);
  return setting?.[1] !== undefined && setting[2] !== undefined ? settingOf(setting[1], findMachine(setting[2], machines)) : null;
}

/**
 * Reads a thickness as instructions say it: a length, a setting of a machine
 * that is known here or only described, a rank on the dial, cards, layers.
 * @throws Complaint `thickness/unreadable`, `setting/unknown`, `machine/unknown`, `instruction/rank`, `unit/empty`, `unit/range`, `amount/positive`
 */
export function readInstruction(text: string, reader: Reader): Asked {
  const said = text.trim().replace(/\s+/g, ' ');
  if (said === '') throw complaint('unit/empty');
  try {
    const found = byCards(said, reader.cardMm) ?? byRank(said) ?? byDial(said) ?? byLayers(said, reader) ?? bySetting(said, reader);
    const asked = found ?? { mm: readLength(said, reader.system), sigmaMm: 0, machine: null, label: null, assumed: false };
    if (!(asked.mm > 0)) throw complaint('amount/positive', { what: 'A thickness' });
    return asked;
  } catch (error) {
    const unread = error instanceof Complaint && (error.code === 'unit/unreadable' || error.code === 'parts/unreadable' || error.code === 'machine/dial');
    throw unread ? complaint('thickness/unreadable', { text: said }) : error;
  }
}
