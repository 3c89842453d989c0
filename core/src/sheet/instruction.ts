import { Complaint, inBoth, namesOf, readLength, showLength, type Mm, type UnitSystem } from '#core/units';
import { ASSUMED_CARD, CARD_SPREAD, MEASURED_CARD_SPREAD } from './card.js';
import type { Machine } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';
import { strangeDial, strangeRank } from './strangeDial.js';
import { LABEL, PLACE, isWide, phraseOf, type Phrase } from './phrase.js';
import { complaint } from './sentences.js';

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

/** Something of one's own that thicknesses are measured with: a card of another packet, a coin. */
export interface Gauge {
  readonly name: string;
  readonly mm: Mm;
  readonly sigmaMm: Mm;
}

/** What an instruction is read with. */
export interface Reader {
  readonly machines: readonly Machine[];
  /** whose settings “my 3” are; null: none yet */
  readonly own: Machine | null;
  /** thickness of a playing card; null: nobody has measured one */
  readonly cardMm: Mm | null;
  readonly system: UnitSystem;
  readonly gauges?: readonly Gauge[];
  /** what was read before, for `same as last`; null or left out: nothing */
  readonly last?: Asked | null;
}

const MOST_LAYERS = 12;
/** Nobody rolls clay thinner or thicker than this. Assumptions. */
export const THINNEST_SHEET: Mm = 0.1;
export const THICKEST_SHEET: Mm = 30;

/** A way of saying a thickness; null where this is another one. */
type Way = (phrase: Phrase, reader: Reader, said: string) => Asked | null;

const fromSetting = (setting: SettingThickness, machine: Machine | null): Asked => ({
  mm: setting.mm,
  sigmaMm: setting.sigmaMm,
  machine,
  label: machine ? setting.label : null,
  assumed: machine === null || setting.knowledge === 'assumed',
});
const scaled = (asked: Asked, factor: number): Asked => ({
  ...asked,
  mm: asked.mm * factor,
  sigmaMm: asked.sigmaMm * factor,
  label: null,
});

function settingOf(label: string, machine: Machine): Asked {
  const all = thicknesses(machine);
  const wanted = label
    .replace(/ ?1\/2$/, '½')
    .replace(/\s/g, '')
    .toLowerCase();
  const found = all.find((s) => s.label.replace(/\s/g, '').toLowerCase() === wanted);
  if (!found)
    throw complaint('setting/unknown', { label, machine: machine.name, labels: all.map((s) => s.label).join(', ') });
  return fromSetting(found, machine);
}

const SAME_AS = 'same(?: (?:setting|thickness|one))?(?: as)?(?: (?:the )?(?:last|before|previous|above))?';
const SAME_AGAIN = new RegExp(
  `^(?:the )?(?:${SAME_AS}(?: (?:time|one|sheet|again))?|same again|as (?:before|last time|above)|ditto)$`,
);

/** `same as last`, `as before` */
const sameAgain: Way = ({ text }, { last }) => {
  if (!SAME_AGAIN.test(text)) return null;
  if (!last) throw complaint('instruction/last');
  return last;
};

const COUNTED = new RegExp(
  '^(?:(?:a |the )?(?:stack|pile|deck|thickness) of )?(?:(\\d+|an?) )?(?:of )?' +
    '(?:the |my |your )?(.+?)(?: (?:thick|high|deep|thickness))?$',
);

/** `5 cards`, `a stack of 5 playing cards`, `4 of the packet card` */
const byCards: Way = ({ text }, { cardMm, gauges = [] }) => {
  const counted = COUNTED.exec(text);
  const thing = counted?.[2]?.replace(/'s$/, '');
  if (!counted || thing === undefined) return null;
  const [, number] = counted;
  const count = number === undefined || /^an?$/.test(number) ? 1 : Number(number);
  const own = gauges.find((g) => namesOf(g.name.toLowerCase()).includes(thing));
  if (own) return { mm: count * own.mm, sigmaMm: count * own.sigmaMm, machine: null, label: null, assumed: false };
  if (!/^(?:playing )?cards?$/.test(thing)) return null;
  const mm = cardMm ?? ASSUMED_CARD;
  return {
    mm: count * mm,
    sigmaMm: count * mm * (cardMm === null ? CARD_SPREAD : MEASURED_CARD_SPREAD),
    machine: null,
    label: null,
    assumed: cardMm === null,
  };
};

function means(phrase: Phrase, reader: Reader): boolean {
  try {
    return read(phrase, reader, phrase.text) !== null;
  } catch (error) {
    if (error instanceof Complaint) return false;
    throw error;
  }
}

/**
 * Reads a part of what was said. Where that part has several meanings, each
 * is offered within all that was said, as far as it means something there.
 */
function readInside(text: string, part: string, machines: readonly Machine[], reader: Reader): Asked | null {
  try {
    return read({ text: part, machines }, reader, part);
  } catch (error) {
    if (!(error instanceof Complaint) || error.choices.length === 0) throw error;
    const at = text.lastIndexOf(part);
    const whole = error.choices.map((choice) => `${text.slice(0, at)}${choice}${text.slice(at + part.length)}`);
    const choices = whole.filter((choice) => means({ text: choice, machines }, reader));
    throw new Complaint(error.code, error.message, error.at, choices);
  }
}

const NEIGHBOUR = new RegExp(
  '^(?:the )?(\\d+|an?|next)\\s*(?:settings?|steps?|notch(?:es)?|stops?|clicks?|numbers?)?\\s*' +
    '(?:(thinner|finer|narrower|thicker|wider) than|(down|below) from|(below)) (.+)$',
);

/** `one thinner than my 3`, `2 settings thicker than Bench roller 4`, `one down from the thickest` */
const byNeighbour: Way = ({ text, machines }, reader) => {
  const found = NEIGHBOUR.exec(text);
  if (!found) return null;
  const inner = readInside(text, found[5] ?? '', machines, reader);
  // how much thinner than a length nobody says
  if (!inner?.machine || inner.label === null) return null;
  const all = thicknesses(inner.machine);
  const at = all.findIndex((s) => s.label === inner.label);
  const by = (Number(found[1]) || 1) * (/thicker|wider/.test(found[2] ?? '') ? -1 : 1);
  const setting = all[at + by];
  if (!setting)
    throw complaint('instruction/beyond', {
      machine: inner.machine.name,
      end: by < 0 ? 'widest' : 'thinnest',
      label: (by < 0 ? all[0] : all.at(-1))?.label ?? '',
    });
  return fromSetting(setting, inner.machine);
};

const MULTIPLES: Readonly<Record<string, number>> = { twice: 2, double: 2, thrice: 3, triple: 3, '1/2': 0.5 };

/** `4 layers of my 3`, `twice my 3`, `half as thick as 2 mm`, `my 3 doubled` */
const byLayers: Way = ({ text, machines }, reader) => {
  const layered =
    /^(\d+)\s*(?:(?:layers?|sheets?|thicknesses|pieces|plies|times|×|x)(?: (?:of|at|on))?|×|x)\s*(.+)$/.exec(text);
  const multiple = /^(twice|double|thrice|triple|1\/2)(?: (?:as thick as|the thickness of|of))? (.+)$/.exec(text);
  const doubled = /^(.+?),? doubled$/.exec(text);
  const count = layered ? Number(layered[1]) : (MULTIPLES[multiple?.[1] ?? ''] ?? 2);
  const of = layered?.[2] ?? multiple?.[2] ?? doubled?.[1];
  if (of === undefined) return null;
  if (count === 0 || count > MOST_LAYERS)
    throw complaint('unit/range', { what: 'The number of layers', low: '1', high: String(MOST_LAYERS) });
  // half an inch is a length
  if (count === 0.5 && /^(?:an? )?(?:inch|in|mm|cm|")/.test(of)) return null;
  const one = readInside(text, of, machines, reader);
  return one && scaled(one, count);
};

/** `thickest`, `3rd thickest`, `next to the thinnest of 9`, `the widest but one`, `the middle setting` */
const byRank: Way = ({ text, machines }, { own }) => {
  const tail =
    '(?: (?:setting|gap|opening|one))?(?: (?:on|of) (?:my machine|mine|(@\\d)))?(?:,? (?:(?:out )?of ' +
    '(?:an? )?(?:dial of |machine (?:of|with) )?|(?:on|of) an? (?:pasta )?machine (?:of|with) |on an? ' +
    ')(\\d+)(?:[ -]settings?)?(?: machine)?)?';
  const plain = new RegExp(`^(?:the |your |my )?(?:(\\d+)th[ -])?(?:most )?(${PLACE})${tail}$`).exec(text);
  const next = new RegExp(
    `^(?:the )?(?:next|(\\d+)th)[ -](?:one )?(?:to|from|after)[ -](?:the )?(${PLACE})${tail}$`,
  ).exec(text);
  const butOne = new RegExp(`^(?:the )?()(${PLACE})(?: setting)? but (?:1|one)${tail}$`).exec(text);
  const middle = new RegExp(
    '^(?:the |an? )?(?:middle|medium|mid|middling)()()(?: ' +
      `(?:setting|thickness))?${tail.replace('(?: (?:setting|gap|opening|one))?', '')}$`,
  ).exec(text);
  const found = plain ?? next ?? butOne ?? middle;
  if (!found) return null;
  const [, said, place = '', named, count] = found;
  const machine = named === undefined ? own : (machines[Number(named.slice(1))] ?? null);
  const onOne = /mine|my machine|@/.test(text) || /^my /.test(text);
  if (middle) {
    if (!machine) throw complaint('instruction/machine');
    const all = thicknesses(machine);
    return fromSetting(all[Math.floor((all.length - 1) / 2)] as SettingThickness, machine);
  }
  const rank = Number(said || (plain ? 1 : 2));
  // the widest is one's own widest; further ranks mean those of a dial that one does not have
  const ownEnd = rank === 1 && count === undefined;
  if (machine && (onOne || ownEnd)) {
    const all = thicknesses(machine);
    const setting = all[isWide(place) ? rank - 1 : all.length - rank];
    if (!setting) throw complaint('instruction/rank', { rank, count: all.length });
    return fromSetting(setting, machine);
  }
  return fromSetting(strangeRank(rank, isWide(place), count === undefined ? undefined : Number(count)), null);
};

/** `my 3`, `setting 3 of Bench roller`, `Bench roller, 3`, `3 on mine` */
const bySetting: Way = ({ text, machines }, { own }) => {
  const mark = '(?:(?:setting|position|dial|notch|mark|stop) )?#?';
  const mine = new RegExp(
    `^(?:my|your|own|mine,?) ${mark}(${LABEL})$|^${mark}(${LABEL}) (?:on|of|at) (?:mine|my machine|my own|my dial)$`,
  ).exec(text);
  if (mine) {
    if (!own) throw complaint('instruction/machine');
    return settingOf(mine[1] ?? mine[2] ?? '', own);
  }
  const of = new RegExp(
    `^${mark}(${LABEL}|[a-z])(?:th (?:setting|position))?,? (?:(?:of|on|at|in|with) ` +
      `)?(@\\d)$|^(@\\d),?:? (?:(?:at|on) )?${mark}(${LABEL}|[a-z])$`,
  ).exec(text);
  const machine = of && machines[Number((of[2] ?? of[3] ?? '@0').slice(1))];
  return machine ? settingOf(of[1] ?? of[4] ?? '', machine) : null;
};

/** `3 of blue`: a machine by a part of its name. @throws Complaint `machine/unknown`, `setting/unknown` */
const byLooseName: Way = ({ text }, { machines }) => {
  const found = new RegExp(`^(?:(?:setting|position) )?#?(${LABEL}) (?:of|on|at) (?:the |my |your )?([a-z].*)$`).exec(
    text,
  );
  if (!found?.[1] || found[2] === undefined || /\bmachine\b|\bcards?\b|\binch|^an?\b/.test(found[2])) return null;
  const wanted = found[2];
  const loose = machines.filter((m) => m.name.toLowerCase().includes(wanted));
  const [only] = loose;
  if (!only || loose.length > 1)
    throw complaint('machine/unknown', { name: wanted, machines: machines.map((m) => m.name).join(', ') || 'none' });
  return settingOf(found[1], only);
};

const byDial: Way = ({ text }, _, said) => {
  const setting = strangeDial(text, said);
  return setting && fromSetting(setting, null);
};

/** A number of which nobody says whose it is: each reading of it is offered. */
const byNumber: Way = ({ text }, { own, system }, said) => {
  const found = new RegExp(
    `^(?:the )?((?:setting|position|dial|notch|mark|stop) #?|#)?(${LABEL}|\\d+/\\d+)(?:(th)(?: ` +
      '(?:setting|position|notch|stop))?)?$',
  ).exec(text);
  if (!found) return null;
  const [, mark, number = '', ranked] = found;
  const bare = mark === undefined && ranked === undefined;
  const fraction = number.includes('/');
  const whole = /^\d+$/.test(number);
  if (bare && !whole && !fraction) return null;
  const units = fraction ? ['mm', 'in'] : [system === 'metric' ? 'mm' : 'in'];
  const lengths = bare
    ? units.map((unit) => `${number} ${unit}`).filter((text_) => isSheet(readLength(text_, 'metric')))
    : [];
  const mine = own && !fraction && thicknesses(own).some((s) => s.label === number) ? [`my ${number}`] : [];
  const theirs = whole
    ? [...(Number(number) > 0 ? [`${number} where 1 is thickest`] : []), `${number} where 0 is thickest`]
    : [];
  const choices = [...lengths, ...mine, ...theirs];
  // a sixteenth of a millimetre is no sheet, so that it is one of an inch
  const [only] = choices;
  if (fraction && only !== undefined && choices.length === 1)
    return byLength({ text: only, machines: [] }, { machines: [], own, system, cardMm: null }, said);
  throw complaint('instruction/ambiguous', { text: said, choices });
};

/** A length that lies another way is no thickness. */
const LYING = /\b(?:wide|long|across|high|deep|diameter)$/;
const byLength: Way = ({ text }, { system }) =>
  LYING.test(text) ? null : { mm: readLength(text, system), sigmaMm: 0, machine: null, label: null, assumed: false };

const WAYS: readonly Way[] = [
  sameAgain,
  byCards,
  byNeighbour,
  byRank,
  byDial,
  byLayers,
  bySetting,
  byNumber,
  byLooseName,
  byLength,
];

function read(phrase: Phrase, reader: Reader, said: string): Asked | null {
  for (const way of WAYS) {
    const asked = way(phrase, reader, said);
    if (asked) return asked;
  }
  return null;
}

const isSheet = (mm: Mm): boolean => mm >= THINNEST_SHEET && mm <= THICKEST_SHEET;

/** A thickness that is one of a sheet. @throws Complaint `amount/positive`, `thickness/range` */
function checked(asked: Asked): Asked {
  if (!(asked.mm > 0)) throw complaint('amount/positive', { what: 'A thickness' });
  if (!isSheet(asked.mm))
    throw complaint('thickness/range', {
      mm: inBoth((u) => showLength(asked.mm, u, true)),
      low: inBoth((u) => showLength(THINNEST_SHEET, u)),
      high: inBoth((u) => showLength(THICKEST_SHEET, u)),
    });
  return asked;
}

/** What cannot be read is said in one sentence, whichever part of it failed. */
function orUnreadable<T>(said: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    const unread =
      error instanceof Complaint &&
      (error.code === 'unit/unreadable' || error.code === 'parts/unreadable' || error.code === 'machine/dial');
    throw unread ? complaint('thickness/unreadable', { text: said }) : error;
  }
}

/** What comes before the name of a setting, and is no part of it. */
const BEFORE_A_NAME = /^(?:at |on )?(?:my |the )?/;

/** A setting by what the maker calls it, `my earring setting`; of one's own machine first. */
function byItsName(said: string, { machines, own }: Reader): Asked | null {
  const plain = (text: string): string => text.trim().toLowerCase().replace(BEFORE_A_NAME, '');
  const wanted = plain(said);
  if (wanted === '') return null;
  for (const machine of own ? [own, ...machines] : machines) {
    const setting = machine.settings.find(({ called }) => called != null && plain(called) === wanted);
    if (setting) return settingOf(setting.label, machine);
  }
  return null;
}

/**
 * Reads a thickness as instructions say it: a length, a setting of a machine
 * that is known here or only described, a rank on the dial, cards and other
 * things one measures with, layers, or one thing beside another. A number of
 * which nobody says whose it is has several meanings.
 * @throws Complaint `thickness/unreadable`, `thickness/range`, `instruction/…`, `setting/unknown`,
 * `machine/unknown`, `unit/empty`, `unit/range`, `amount/positive`
 */
export function readInstruction(text: string, reader: Reader): Asked {
  const said = text.trim().replace(/\s+/g, ' ');
  if (said === '') throw complaint('unit/empty');
  const called = byItsName(said, reader);
  if (called) return called;
  return orUnreadable(said, () => {
    const asked = read(phraseOf(said, reader.machines), reader, said);
    if (!asked) throw complaint('thickness/unreadable', { text: said });
    return checked(asked);
  });
}

/**
 * Reads a thickness where one says one's own: as {@link readInstruction},
 * but a setting is one's own, and a number is a length, unless it stands on
 * one's own dial too.
 * @throws Complaint as there
 */
export function readThickness(text: string, reader: Reader): Mm {
  const said = text.trim().replace(/\s+/g, ' ');
  const called = byItsName(said, reader);
  if (called) return called.mm;
  const { text: plain } = phraseOf(said, reader.machines);
  const own = new RegExp(`^(?:(?:setting|position) #?|#)(${LABEL})$`).exec(plain);
  if (own?.[1] !== undefined && reader.own) return readInstruction(`my ${own[1]}`, reader).mm;
  const bare = new RegExp(`^(${LABEL})$`).exec(plain)?.[1];
  const onDial = bare !== undefined && reader.own !== null && thicknesses(reader.own).some((s) => s.label === bare);
  if (bare === undefined || (!onDial && /^\d/.test(bare) === false)) return readInstruction(said, reader).mm;
  const unit = reader.system === 'metric' ? 'mm' : 'in';
  if (!onDial)
    return orUnreadable(said, () => checked(byLength({ text: bare, machines: [] }, reader, said) as Asked)).mm;
  const length = isSheet(readLength(bare, reader.system)) ? [`${bare} ${unit}`] : [];
  throw complaint('instruction/ambiguous', { text: said, choices: [...length, `my ${bare}`] });
}
