import { Inject, Injectable } from '@nestjs/common';
import {
  isMixable,
  keyOf,
  ofBlend,
  ofMix,
  type Material,
  type OfBlend,
  type OfCane,
  type OfClay,
  type OfMix,
} from '#core/material';
import { Studio } from '../mixes/studio.js';
import { Revisions } from '../revisions/revisions.js';
import { BlendsService } from './blends.service.js';

/** A mix, a blend or a cane that is used in an older revision than there is. */
export interface Outdated {
  readonly of: string;
  readonly name: string;
  readonly newer: string;
}

/** What plans that are made of clays, mixes, blends and canes ask of those. */
@Injectable()
export class PlanMaterials {
  constructor(
    @Inject(Studio) private readonly studio: Studio,
    @Inject(BlendsService) private readonly blends: BlendsService,
    @Inject(Revisions) private readonly revisionRule: Revisions,
  ) {}

  /** What mixes, blends and canes have become since the revisions that are used. */
  async outdated(materials: readonly Material[]): Promise<Outdated[]> {
    return (await Promise.all(materials.map((of) => this.newerThan(of)))).flat();
  }

  async isThere(of: OfClay | OfMix | OfBlend | OfCane): Promise<boolean> {
    if (of.kind === 'cane') return (await this.revisionRule.one('cane', of.id)) !== undefined;
    return isMixable(of) ? this.studio.has(of) : (await this.blends.inside(of.id)) !== null;
  }

  private async newerThan(of: Material): Promise<Outdated[]> {
    if (of.kind === 'mix') {
      const newer = this.studio.newerThan(of.id);
      return newer ? [{ of: keyOf(of), name: this.studio.called(of), newer: keyOf(ofMix(newer.id)) }] : [];
    }
    if (of.kind === 'cane') return this.newerCane(of);
    const inside = of.kind === 'blend' ? await this.blends.inside(of.id) : null;
    const newest = inside && (await this.revisionRule.newest('blend', inside.blendId));
    if (!inside || !newest || newest.id === of.id) return [];
    return [{ of: keyOf(of), name: inside.name, newer: keyOf(ofBlend(newest.id)) }];
  }

  private async newerCane(of: OfCane): Promise<Outdated[]> {
    const revision = await this.revisionRule.one('cane', of.id);
    const newest = revision && (await this.revisionRule.newest('cane', revision.caneId));
    const cane = revision && (await this.revisionRule.thing('cane', revision.caneId));
    if (!newest || !cane || newest.id === of.id) return [];
    return [{ of: keyOf(of), name: cane.name, newer: keyOf({ kind: 'cane', id: newest.id }) }];
  }
}
