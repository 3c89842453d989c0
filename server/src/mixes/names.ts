import { complaint } from '#core/units';
import type { Named } from '#core/mix';
import type { Studio } from './studio.js';

/** What a written name means: the id of a clay, or of a revision. */
export type Meant = { readonly clayId: string; readonly revisionId: null } | { readonly clayId: null; readonly revisionId: string };

/**
 * Finds what a name in the notation stands for. A clay may be written with
 * its line (`Chalk of Hearth Firm`); a clay in use goes before a retired one.
 * @throws Complaint `notation/unknown`, `notation/ambiguous`
 */
export function meaningOf({ name, revision }: Named, studio: Studio): Meant {
  const wanted = name.toLowerCase();
  const mix = studio.mixNamed(name);
  if (mix) {
    const found = revision === null ? studio.newest(mix.id) : studio.revisions(mix.id).find((r) => r.number === revision);
    if (!found) throw complaint('notation/unknown', { name: revision === null ? name : `${name} #${revision}` });
    return { clayId: null, revisionId: found.id };
  }
  if (revision !== null) throw complaint('notation/unknown', { name: `${name} #${revision}` });
  const full = (clayId: string): string => {
    const clay = studio.clay(clayId);
    return `${clay?.name ?? ''} of ${studio.line(clay?.lineId ?? '')?.name ?? ''}`;
  };
  const all = studio.all('clay').filter((c) => c.name.toLowerCase() === wanted || full(c.id).toLowerCase() === wanted);
  const inUse = all.filter((c) => !c.retired);
  const clays = inUse.length > 0 ? inUse : all;
  const [only, second] = clays;
  if (!only) throw complaint('notation/unknown', { name });
  if (second) throw complaint('notation/ambiguous', { name, choices: clays.map((c) => full(c.id)).join(' or ') });
  return { clayId: only.id, revisionId: null };
}
