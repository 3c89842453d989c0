import type { Mm } from '#core/units';
import { partResults, usesOf, type CaneContext, type Part, type Step, type StepResult } from '#core/cane/steps';
import { stateAt } from './rows.js';

/** So many pieces of another cane, taken at one step: each cut so long off it, and brought to another length. */
export interface Taken {
  readonly step: Step;
  /** the step's place in its row, and the canes that row is for, outermost first; none: the cane itself */
  readonly at: number;
  readonly path: readonly string[];
  readonly count: number;
  /** of each piece as it is cut off */
  readonly length: Mm;
  /** of each piece when it is set in or laid beside: drawn longer and thinner, as it fits */
  readonly drawnTo: Mm;
}

/** A cane that others take in, worked out: however often it is taken, it is made once. */
export interface Inner {
  /** as it is called; another cane of the same name has a number behind it, so that one is not taken for the other */
  readonly name: string;
  readonly part: Part;
  readonly results: readonly StepResult[];
  readonly taken: Taken[];
}

/** What is the same cane: the same steps or the same revision, whatever they are called. */
const sameCane = (part: Part): string =>
  JSON.stringify(part, (field, value: unknown) => (field === 'id' || field === 'name' ? undefined : value));

/**
 * All canes that a row takes in, and those that they take in, each once, those before others that take them in: the
 * order in which hands make them.
 */
export class InnerCanes {
  private readonly known = new Map<string, Inner>();

  constructor(
    results: readonly StepResult[],
    private readonly context: CaneContext,
  ) {
    this.visit(results);
  }

  /** Each after those it takes in. */
  get inOrder(): readonly Inner[] {
    return [...this.known.values()];
  }

  of(part: Part): Inner | undefined {
    return this.known.get(sameCane(part));
  }

  /** The name, or the name with the first number that no other has. */
  private free(wanted: string): string {
    const taken = new Set(this.inOrder.map((one) => one.name));
    let name = wanted;
    for (let n = 2; taken.has(name); n++) name = `${wanted} ${n}`;
    return name;
  }

  private visit(results: readonly StepResult[]): void {
    results.forEach(({ step }, at) => {
      const before = at > 0 ? stateAt(results, at - 1) : null;
      for (const { part } of usesOf(step, before, this.context)) {
        const key = sameCane(part);
        if (this.known.has(key)) continue;
        const inner = partResults(part, this.context);
        this.visit(inner);
        this.known.set(key, { name: this.free(part.name ?? 'a part'), part, results: inner, taken: [] });
      }
    });
  }
}
