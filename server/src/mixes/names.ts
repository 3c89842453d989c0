import { complaint } from '#core/mix';
import { ofClay, ofMix, type Mixable } from '#core/material';
import { Complaint, attempt } from '#core/units';
import type { Named } from '#core/mix';
import type { Studio } from './studio.js';

/** Everything that can be named in a recipe: clays, alone and with their line, and mixes. */
export function namesIn(studio: Studio): string[] {
  const clays = studio
    .all('clay')
    .flatMap((clay) => [clay.name, `${clay.name} of ${studio.line(clay.lineId)?.name ?? ''}`]);
  return [...clays, ...studio.all('mix').map((mix) => mix.name)];
}

/**
 * Finds what a name in the notation stands for. A clay may be written with
 * its line (`Chalk of Hearth Firm`); a clay in use goes before a retired one.
 * @throws Complaint `notation/unknown`, `notation/ambiguous`
 */
export function meaningOf({ name, revision }: Named, studio: Studio): Mixable {
  const wanted = name.toLowerCase();
  const mix = studio.mixNamed(name);
  if (mix) {
    const found =
      revision === null ? studio.newest(mix.id) : studio.revisions(mix.id).find((r) => r.number === revision);
    if (!found) throw complaint('notation/unknown', { name: revision === null ? name : `${name} #${revision}` });
    return ofMix(found.id);
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
  if (second) throw complaint('notation/ambiguous', { name, choices: clays.map((c) => full(c.id)) });
  return ofClay(only.id);
}

/**
 * As {@link meaningOf}; of a name with several meanings, the whole text with each of them is what could be typed
 * instead.
 */
export function meantIn(text: string, named: Named, studio: Studio): Mixable {
  return attempt(
    () => meaningOf(named, studio),
    (wrong) => {
      if (wrong.code !== 'notation/ambiguous') throw wrong;
      const at = text.toLowerCase().indexOf(named.name.toLowerCase());
      const choices =
        at < 0 ? [] : wrong.choices.map((full) => `${text.slice(0, at)}${full}${text.slice(at + named.name.length)}`);
      throw new Complaint(wrong.code, wrong.message, wrong.at, choices);
    },
  );
}
