import { useSearchParams } from 'react-router';
import { useState, useMemo } from 'react';
import type { Lab } from '#core/colour';
import { attempt } from '#core/units';
import { readColour, hexOf, xyzOfLab } from '#core/colour';
import type { ShelfAnswer } from '#contract';
import { useView } from '../../state/view.js';
import { usePlainClays } from '../../workers/usePlainClays.js';
import { useKnownClays, useFind } from '../../workers/useFind.js';
import type { PlainInput } from '../../workers/find.worker.js';
/** What a clay may do in the search; a click goes on to the next. */
const ROLES = ['may', 'must', 'not'] as const;
type Role = (typeof ROLES)[number];

/** Simpler mixes that are farther off than this are not shown. */
const FAR_OFF = 12;

/** A colour that came with the address, where it is one. */
function readIn(text: string | null): Lab | null {
  return attempt(
    () => (text === null ? null : readColour(text)),
    () => null,
  );
}

/** The role after this one. */
const nextRole = (role: Role): Role => ROLES[(ROLES.indexOf(role) + 1) % ROLES.length] ?? 'may';

/** What a maker asks of the search: the colour, and what may be in a mix of it. */
function useWishes() {
  const [query] = useSearchParams();
  const { mixGrams, setMixGrams } = useView();
  const [target, setTarget] = useState<Lab | null>(() => readIn(query.get('colour')));
  const [roles, setRoles] = useState<Readonly<Record<string, Role>>>({});
  const [opaque, setOpaque] = useState(false);
  const [enough, setEnough] = useState(true);
  const [most, setMost] = useState<1 | 2 | 3>(3);
  const role = (id: string): Role => roles[id] ?? 'may';
  const turn = (id: string): void => {
    setRoles({ ...roles, [id]: nextRole(role(id)) });
  };
  const colour = { target, setTarget, mixGrams, setMixGrams };
  return { ...colour, roles, role, turn, opaque, setOpaque, enough, setEnough, most, setMost };
}

/** A colour that mixes are looked for, what may be in them, and what was found. */
export function useFinding(shelf: ShelfAnswer) {
  const wishes = useWishes();
  const { target, roles, opaque, enough, mixGrams, most } = wishes;
  const usable = useMemo(
    () => shelf.clays.filter((c) => !c.retired && (!opaque || c.kind === 'opaque')),
    [shelf, opaque],
  );
  const plain = usePlainClays(shelf, opaque);
  useKnownClays(plain);
  const input = useMemo(
    (): PlainInput | null =>
      target && {
        target,
        grams: enough ? mixGrams : 0,
        mostClays: most,
        locked: plain.filter((c) => roles[c.id] === 'must').map((c) => c.id),
        clays: plain.filter((c) => roles[c.id] !== 'not'),
      },
    [target, enough, mixGrams, most, plain, roles],
  );
  const { found, state, stop } = useFind(input);
  const closest = found.at(-1);
  // simpler mixes that are another colour altogether only stand in the way
  const worthSeeing = found.filter((f) => f === closest || f.deltaE < FAR_OFF);
  const hex = target ? hexOf(xyzOfLab(target)) : null;
  return { ...wishes, hex, usable, input, state, stop, closest, worthSeeing };
}

export type Finding = ReturnType<typeof useFinding>;
