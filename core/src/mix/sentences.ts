import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const MIX_SENTENCES = {
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
  'mix/cycle': (d: { path: string }) => `A mix cannot contain itself: ${d.path}.`,
  'mix/deep': (d: { depth: number; most: number }) =>
    `This mix is made of mixes inside mixes, ${d.depth} deep. Sledge follows ${d.most}: write one of ` +
    'them down as a mix of clays.',
  'mix/digits': (d: { most: number }) =>
    `The parts of this mix make shares with more than ${d.most} digits, which nobody can measure. Use simpler parts.`,
  'mix/missing': (d: { name: string }) => `${d.name} is not there any more, so this mix cannot be worked out.`,
  'ladder/count': () => 'A ladder has from 3 to 15 steps, its two ends among them.',
  'ladder/three': () => 'A ladder through three mixes has at least five steps.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...MIX_SENTENCES });
