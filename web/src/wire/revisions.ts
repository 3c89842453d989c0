import type { Mixable } from '#core/material';
import type { RevisionAnswer } from '#contract';
import { ask } from './ask.js';

/** The recipes that a clay or a mix rests on, its own first; a clay rests on none. @throws Refused, NoAnswer */
export const recipesOf = async (of: Mixable): Promise<readonly RevisionAnswer[]> =>
  of.kind === 'mix' ? ask<RevisionAnswer[]>('GET', `/api/revisions/${of.id}`) : [];
