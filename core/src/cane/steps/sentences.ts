import { UNITS_SENTENCES, complaints } from '#core/units';
import { OUTLINES_SENTENCES } from '#core/cane/outlines';
import { DOCUMENT_SENTENCES } from '#core/cane/document';

/** What this folder can find wrong, in sentences. */
export const STEPS_SENTENCES = {
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
  'cane/count': UNITS_SENTENCES['count/range'],
  'cane/straight': () =>
    'Only pieces with straight sides and square corners, and flattened logs on their flat side, lie on each ' +
    'other without gaps. Press it to a square or a rectangle first, or flatten it.',
  'cane/quarter': () => 'Only square pieces fit again after a quarter turn. Press it to a square first.',
  'cane/base': () =>
    'Two pieces are joined along a straight side that nothing juts out over. Choose another side, or press it to ' +
    'a triangle or a half round first.',
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
  'cane/regions': () => 'A template has from 1 to 400 regions.',
} as const;

/** All that can be wrong with a cane. */
export const CANE_SENTENCES = { ...OUTLINES_SENTENCES, ...DOCUMENT_SENTENCES, ...STEPS_SENTENCES } as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...CANE_SENTENCES });
