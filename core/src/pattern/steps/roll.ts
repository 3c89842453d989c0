import { LENGTH, among } from '#core/document';
import { flat, type Body } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { positive, shown } from './measure.js';
import { complaint } from './sentences.js';

/** How a sheet grows when it is rolled: a machine draws it along the feed, a roller by hand both ways. */
export const ALONG = ['width', 'length', 'both'] as const;
export type Along = (typeof ALONG)[number];

/** Rolled thinner; dents are pressed shut by it. */
export interface Roll extends Doing<'roll'> {
  readonly to: Mm;
  readonly along: Along;
}

/** By what the width and the length grow where the thickness becomes a share of what it was. */
export function grownBy(thinner: number, along: Along): readonly [number, number] {
  if (along === 'width') return [thinner, 1];
  if (along === 'length') return [1, thinner];
  return [Math.sqrt(thinner), Math.sqrt(thinner)];
}

/** A body as thick as is wanted, as large as that makes it. */
export function rolledTo(body: Body, to: Mm, along: Along): Body {
  const thinner = body.thick / to;
  const [fx, fy] = grownBy(thinner, along);
  const { field, piece } = body;
  return {
    ...body,
    width: body.width * fx,
    height: body.height * fy,
    thick: to,
    field: (x, y, z) => field(x / fx, y / fy, z * thinner),
    ...(piece && {
      piece: (k: number) => {
        const one = piece(k);
        return (x: Mm, y: Mm, z: Mm) => one(x / fx, y / fy, z * thinner);
      },
    }),
  };
}

export const roll: ChangeKind<Roll> = {
  fields: { to: LENGTH, along: among(...ALONG) },
  to: ['block', 'sheet'],
  change: (open, { to, along }) => {
    const body = flat(open);
    positive(to, 'The thickness');
    if (to > body.thick * (1 + 1e-9)) throw complaint('pattern/thicker', { now: shown(body.thick), wanted: shown(to) });
    return rolledTo(body, to, along);
  },
};
