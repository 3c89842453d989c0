/**
 * Everything that core can find wrong with what a person entered, each with
 * a sentence that says what is wrong and what to do. Callers show the
 * sentence beside the field; `code` is for tests and for machines.
 */
const SENTENCES = {
  'unit/empty': () => 'Nothing is written here yet.',
  'unit/unreadable': (d: { text: string; wanted: string }) => `“${d.text}” cannot be read as ${d.wanted}.`,
  'unit/range': (d: { what: string; low: string; high: string }) =>
    `${d.what} has to be between ${d.low} and ${d.high}.`,
  'number/ambiguous': (d: { text: string; choices: readonly string[] }) =>
    `“${d.text}” could be ${d.choices.join(' or ')}. Which is it?`,
  'material/unreadable': (d: { text: string }) => `“${d.text}” says no clay, mix, blend or cane.`,
  'material/missing': (d: { name: string }) => `${d.name} is not there any more.`,
  'date/unreadable': (d: { text: string }) =>
    `“${d.text}” cannot be read as a date code. Write 2024-09, 15.09.2024, 240915, 24W37 or 24-259.`,
  'date/ambiguous': (d: { text: string; month: string; week: string }) =>
    `“${d.text}” could be ${d.month} or ${d.week}. Write 20${d.text.slice(0, 2)}-${d.text.slice(2)} for ` +
    `the month, ${d.text.slice(0, 2)}W${d.text.slice(2)} for the week.`,
  'colour/unreadable': (d: { text: string }) =>
    `“${d.text}” is not a colour. Write six digits as in 7B1E4B, L*, a* and b* as in 52 41 -8, or a ` +
    'plain word as in dark green.',
  'colour/range': (d: { text: string }) =>
    `“${d.text}” is no colour of a surface: L* runs from 0 to 100, a* and b* from -128 to 128.`,
  'notation/empty': () => 'Write the parts, for example: 2 Beetroot + 1 Chalk.',
  'notation/unexpected': (d: { found: string; at: number; wanted: string }) =>
    `At place ${d.at + 1}: found “${d.found}” where ${d.wanted} should be.`,
  'notation/unknown': (d: { name: string; near?: readonly string[]; choices?: readonly string[] }) =>
    `“${d.name}” is neither a clay on your shelf nor a mix of ` +
    `yours.${d.near !== undefined && d.near.length > 0 ? ` Did you mean ${d.near.join(', or ')}?` : ''}`,
  'notation/shares': (d: { amounts: number; things: number }) =>
    `There are ${d.amounts} amounts for ${d.things} clays or mixes. Write one amount for each.`,
  'notation/parts': (d: { text: string }) =>
    `In “${d.text}” it is not clear which amount goes with what. Write it as in: 2 Beetroot + 1 Chalk.`,
  'notation/units': (d: { units: string }) =>
    `Here stand ${d.units} side by side, and these cannot be added. Write all amounts in the same way.`,
  'notation/rest': () => 'The rest can only be one of them, beside per cent that leave something over.',
  'notation/per cent': (d: { sum: number }) =>
    `These add up to ${Math.round(d.sum * 10) / 10} %, not to 100 %. Write what is missing, or parts instead.`,
  'notation/ambiguous': (d: { name: string; choices: readonly string[] }) =>
    `“${d.name}” could be ${d.choices.join(' or ')}. Write it with its line.`,
  'parts/none': () => 'A mix needs at least one clay.',
  'parts/zero': (d: { name: string }) => `${d.name} has zero parts. Take it out, or give it a part.`,
  'parts/negative': (d: { name: string }) =>
    `${d.name} has fewer than zero parts. Nothing can be taken out of a mix again.`,
  'parts/huge': (d: { name: string }) => `${d.name} has more than 10,000 parts. Use a larger part for the others.`,
  'parts/tiny': (d: { name: string }) =>
    `${d.name} has less than 1/1000 part, which no one can cut. Multiply all parts.`,
  'parts/unreadable': (d: { text: string }) => `“${d.text}” is not a number of parts. Write 2, ½, 1/4 or 1.5.`,
  'mix/cycle': (d: { path: string }) => `A mix cannot contain itself: ${d.path}.`,
  'mix/deep': (d: { depth: number; most: number }) =>
    `This mix is made of mixes inside mixes, ${d.depth} deep. Sledge follows ${d.most}: write one of ` +
    'them down as a mix of clays.',
  'mix/digits': (d: { most: number }) =>
    `The parts of this mix make shares with more than ${d.most} digits, which nobody can measure. Use simpler parts.`,
  'mix/missing': (d: { name: string }) => `${d.name} is not there any more, so this mix cannot be worked out.`,
  'amount/positive': (d: { what: string }) => `${d.what} has to be more than zero.`,
  'machine/settings': () => 'A machine needs at least two different settings.',
  'machine/duplicate': (d: { label: string }) => `The setting ${d.label} is on this dial twice.`,
  'machine/dial': (d: { text: string }) =>
    `“${d.text}” is not a dial. Give the widest and the thinnest number, and a step that leads from one to the other.`,
  'setting/unknown': (d: { label: string; machine: string; labels: string }) =>
    `${d.machine} has no setting ${d.label}. Its dial has ${d.labels}.`,
  'thickness/unreadable': (d: { text: string }) =>
    `“${d.text}” is not a thickness. Write 1.5 mm, 1/16 in, 5 cards, third thickest, four layers of my ` +
    '3, a setting as in: setting 3 of Bench roller, or one of a dial as in: 4 where 7 is widest.',
  'thickness/range': (d: { mm: string; low: string; high: string }) =>
    `No sheet is ${d.mm} thick: they are from ${d.low} to ${d.high}.`,
  'instruction/ambiguous': (d: { text: string; choices: readonly string[] }) =>
    d.choices.length === 1
      ? `“${d.text}” alone says too little. Is it ${d.choices.join('')}?`
      : `“${d.text}” has several meanings: ${d.choices.join(', or ')}. Which is it?`,
  'instruction/which': (d: { text: string; choices: readonly string[] }) =>
    `Which setting of it? “${d.text}” says what its dial is like.`,
  'instruction/last': () => 'Nothing was said before, so there is nothing to be the same as.',
  'instruction/machine': () =>
    'You have no machine of your own here yet, so nobody knows your settings. Describe it first.',
  'instruction/beyond': (d: { machine: string; end: string; label: string }) =>
    `${d.machine} goes no further: ${d.label} is its ${d.end} setting.`,
  'instruction/rank': (d: { rank: number; count: number }) => `There is no setting ${d.rank} on a dial of ${d.count}.`,
  'machine/unknown': (d: { name: string; machines: string }) =>
    `There is no machine called “${d.name}”. Yours: ${d.machines}.`,
  'cutter/larger': (d: { cutter: string; sheet: string }) =>
    `A cutter of ${d.cutter} does not fit on a sheet of ${d.sheet}.`,
  'picture/dark': () => 'That place is too dark to tell grey by. Click something light grey or white.',
  'picture/clipped': () =>
    'That place is as bright as a photograph can be, so its colour is lost. Click something a little darker.',
  'picture/coloured': () =>
    'That place is coloured under any lamp. Click something that is grey or white in the real world.',
  'picture/count': (d: { most: number }) => `A palette has from 1 to ${d.most} colours.`,
  'picture/empty': () => 'This picture is transparent all over, so it has no colours.',
  'ladder/count': () => 'A ladder has from 3 to 15 steps, its two ends among them.',
  'ladder/three': () => 'A ladder through three mixes has at least five steps.',
  'blend/colours': () => 'A blend has from 2 to 6 colours; a diamond and a V have three.',
  'blend/size': () => 'A blend needs a width and a height above zero.',
  'blend/pure': () => 'Pure ends this wide leave no room for a fade between them.',
  'blend/cut': (d: { which: number }) =>
    `Cut ${d.which} has to run from the bottom edge to the top, never back down, and stay on the sheet.`,
  'blend/cross': (d: { one: number; other: number }) =>
    `Cuts ${d.one} and ${d.other} cross. Draw them apart: a colour cannot have less than nothing.`,
  'blend/passes': (d: { most: number }) => `Passes are from 1 to ${d.most}.`,
  'blend/room': (d: { count: number; fits: number }) =>
    `${d.count} pieces do not fit side by side on this blend; ${d.fits} do.`,
  'blend/overlap': () =>
    'The joint has to lie within the pure ends of both blends. Make the overlap narrower, or the ends wider.',
  'blend/stack': () => 'From one to 12 tapes can be laid on each other.',
  'sheet/room': (d: { count: number; fits: number }) =>
    `${d.count} of these do not fit on what is left of the sheet; ${d.fits} do.`,
  'cane/points': (d: { points: number; most: number }) =>
    `The outlines of this cane have ${d.points.toLocaleString('en')} points; ` +
    `${d.most.toLocaleString('en')} are the most. Simplify the drawing.`,
  'cane/deep': (d: { most: number }) =>
    `This cane has canes inside canes, more than ${d.most} deep. Build one of the inner ones as a cane ` +
    'of its own steps.',
  'cane/work': (d: { most: number }) =>
    `This cane and the canes in it take more than ${d.most.toLocaleString('en')} steps. Take fewer canes ` +
    'into each other.',
  'cane/rods': (d: { most: number }) =>
    `The bundles of this cane have more than ${d.most.toLocaleString('en')} rods in all. Bundle fewer, ` +
    'reduce, and bundle that again.',
  'cane/outline': () => 'This outline encloses nothing. Draw it as a closed line around an area.',
  'cane/star': () =>
    'This outline folds back on itself, so nothing can be pressed to it from its middle. Draw it ' +
    'rounder, or in two parts.',
  'cane/begin': () => 'A cane begins with a log, a block, a plug, a roll, a loaf, a template or another cane.',
  'cane/begin again': (d: { step: number }) =>
    `Step ${d.step} begins a cane anew. Stack it beside, arrange it, or put it in instead.`,
  'cane/positive': (d: { what: string }) => `${d.what} has to be more than zero.`,
  'cane/larger': (d: { now: string; wanted: string }) =>
    `The cane is ${d.now} across by now, so it cannot be reduced to ${d.wanted}. Reducing makes it thinner.`,
  'cane/thicker': (d: { now: string; wanted: string }) =>
    `The stack is ${d.now} thick by then, so rolling it at ${d.wanted} does nothing. Take a thinner setting.`,
  'cane/wider': (d: { most: string }) =>
    `Rolled so much thinner it can be at most ${d.most} times as wide, and then it is no longer than before.`,
  'cane/shorter': (d: { now: string; wanted: string }) =>
    `The cane is ${d.now} long by now, so it cannot be reduced to ${d.wanted}. Reducing makes it longer.`,
  'cane/ends': () => 'So little clay is lost in its ends altogether. Begin with a longer piece.',
  'cane/unlike': (d: { parts: number }) =>
    `These ${d.parts} parts are not alike, so they cannot all go on as one. Say which of them goes on; ` +
    'the others stay aside.',
  'cane/asked': (d: { long: string; slice: string }) =>
    `Reduced to the lengths that its steps ask for, it is ${d.long} long, and that is shorter than ` +
    `${d.slice}. Reduce it further, or begin with more clay.`,
  'cane/trim': (d: { now: string }) => `So much cannot be cut off both ends: the cane is only ${d.now} long.`,
  'cane/pieces': (d: { needed: number; have: number }) =>
    `This takes ${d.needed} pieces, and there ${d.have === 1 ? 'is one' : `are ${d.have}`}. Cut the cane across first.`,
  'cane/count': (d: { what: string; low: number; high: number }) =>
    `${d.what} has to be a whole number from ${d.low} to ${d.high}.`,
  'cane/straight': () =>
    'Only pieces with straight sides and square corners lie in rows without gaps. Press it to a square ' +
    'or a rectangle first.',
  'cane/quarter': () => 'Only square pieces fit again after a quarter turn. Press it to a square first.',
  'cane/base': () =>
    'Two pieces are joined along a flat side at the bottom. Press it to a triangle or a half round first.',
  'cane/sides': (d: { one: string; other: string }) =>
    `The sides that meet are ${d.one} and ${d.other} long. Press or squeeze one of them until they are equal.`,
  'cane/hole': () =>
    'There is no room for that there: the hole would cut through the outline. Make it smaller, or move it inwards.',
  'cane/itself': (d: { name: string }) => `${d.name} cannot contain itself.`,
  'cane/missing': () => 'A cane that is used in this one is not there any more.',
  'cane/layers': () => 'A roll or a loaf has from 1 to 12 sheets.',
  'cane/long': (d: { most: number }) => `A cane has at most ${d.most} steps.`,
  'cane/newer': (d: { version: string }) =>
    `This cane was written by a newer Sledge (version ${d.version}). Bring Sledge up to date to open it.`,
  'cane/format': (d: { what: string; where: string }) =>
    `This is no cane: ${d.what}${d.where === '' ? '' : ` at ${d.where}`}.`,
  'cane/regions': () => 'A template has from 1 to 400 regions.',
  'svg/unreadable': () => 'This file cannot be read as an SVG drawing.',
  'svg/large': () => 'This drawing is larger than 6 MB. Simplify it first.',
  'svg/points': (d: { most: number }) =>
    `This drawing has more than ${d.most.toLocaleString('en')} points. Simplify it first.`,
  'svg/elements': (d: { most: number }) =>
    `This drawing has more than ${d.most.toLocaleString('en')} elements. Simplify it first.`,
  'svg/deep': () => 'The groups of this drawing lie too deep in each other. Ungroup it first.',
  'svg/empty': () => 'There is no filled region in this drawing. Fill its outlines with flat colours.',
  'cane/cells': () =>
    'These rods differ too much in size to be squeezed together without gaps. Reduce the large ones first.',
  'count/whole': () => 'The number of pieces has to be a whole number from 1 to 5,000.',
} as const;

export type ComplaintCode = keyof typeof SENTENCES;
type Details<C extends ComplaintCode> = Parameters<(typeof SENTENCES)[C]>[0];

/**
 * A sentence for a person. `at` is a place (0-based) in typed text, where there is one; `choices` what could be
 * typed instead, where it has several meanings.
 */
export class Complaint extends Error {
  readonly at: number | undefined;
  readonly code: ComplaintCode;
  readonly choices: readonly string[];
  constructor(code: ComplaintCode, sentence: string, at?: number, choices: readonly string[] = []) {
    super(sentence);
    this.name = 'Complaint';
    this.code = code;
    this.choices = choices;
    this.at = at;
  }
}

/** What could be typed instead, among the details of a complaint. */
function choicesIn(details: unknown): readonly string[] {
  const { choices } = (details ?? {}) as { choices?: unknown };
  return Array.isArray(choices) ? choices.map(String) : [];
}

/** Makes the complaint `code` with the details its sentence asks for. */
export function complaint<C extends ComplaintCode>(
  code: C,
  ...[details]: Details<C> extends undefined ? [] : [Details<C>]
): Complaint {
  const sentence = (SENTENCES[code] as (d: unknown) => string)(details);
  const at = details !== undefined && 'at' in (details as object) ? (details as { at: number }).at : undefined;
  const choices = choicesIn(details);
  return new Complaint(code, sentence, at, choices);
}

/** What some work gives or, where it complains, what is made of the complaint. Any other error goes through. */
export function attempt<T, F>(work: () => T, otherwise: (wrong: Complaint) => F): T | F {
  try {
    return work();
  } catch (error) {
    if (error instanceof Complaint) return otherwise(error);
    throw error;
  }
}

/** What some work gives, or the sentence of what it complains about. */
export const orSentence = <T>(work: () => T): T | string => attempt(work, (wrong) => wrong.message);
