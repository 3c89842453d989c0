import { LENGTH, among, number } from '#core/document';
import { flat, measuredPieces, once, planArea, type Body, type Field, type Volumes } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { complaint } from './sentences.js';

/** Turned over: what was at the bottom lies on top. */
export type Over = Doing<'over'>;
/** Turned by quarters, counterclockwise. */
export interface Quarter extends Doing<'quarter'> {
  readonly turns: '1' | '2' | '3';
}
/** So much cut off all around. */
export interface Trim extends Doing<'trim'> {
  readonly edge: Mm;
}
/** Pressed together from all sides by so many percent each way; it grows higher, and what was open closes. */
export interface Press extends Doing<'press'> {
  readonly percent: number;
}

/** The same change of the place for all pieces of a body. */
export function moved(body: Body, back: (field: Field) => Field): Pick<Body, 'field' | 'piece'> {
  const { field, piece } = body;
  return { field: back(field), ...(piece && { piece: (k: number) => back(piece(k)) }) };
}

export const over: ChangeKind<Over> = {
  fields: {},
  to: ['block', 'sheet'],
  change: (open) => {
    const body = flat(open);
    const { thick } = body;
    return { ...body, ...moved(body, (field) => (x, y, z) => field(-x, y, thick - z)) };
  },
};

export const quarter: ChangeKind<Quarter> = {
  fields: { turns: among('1', '2', '3') },
  to: ['block', 'sheet'],
  change: (open, { turns }) => {
    let now = flat(open);
    for (let n = 0; n < Number(turns); n++) {
      const before = now;
      now = {
        ...before,
        width: before.height,
        height: before.width,
        ...moved(before, (field) => (x, y, z) => field(y, -x, z)),
      };
    }
    return now;
  },
};

/** mm³ of each material in a part of a body's pieces: those of all pieces, by how large the part is. */
export const volumesWithin = (body: Body, part: Pick<Body, 'round' | 'width' | 'height'>): (() => Volumes) =>
  once(() => measuredPieces({ ...body, ...part }, { from: 0, to: body.thick }));

export const trim: ChangeKind<Trim> = {
  fields: { edge: LENGTH },
  to: ['block', 'sheet'],
  change: (body, { edge }) => {
    const part = { round: body.round, width: body.width - 2 * edge, height: body.height - 2 * edge };
    if (part.width <= 0 || part.height <= 0 || planArea(part) <= 0) throw complaint('pattern/trimmed');
    const { shut } = body;
    return {
      ...body,
      ...part,
      volumes: volumesWithin(body, part),
      ...(shut && { shut: () => ({ ...shut(), ...part }) }),
    };
  },
};

export const press: ChangeKind<Press> = {
  fields: { percent: number(0, 60) },
  to: ['block', 'sheet'],
  change: (open, { percent }) => {
    const body = flat(open);
    const by = 1 - percent / 100;
    return {
      ...body,
      width: body.width * by,
      height: body.height * by,
      thick: body.thick / (by * by),
      ...moved(body, (field) => (x, y, z) => field(x / by, y / by, z * by * by)),
    };
  },
};
