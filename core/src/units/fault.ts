/**
 * What only we can mend. People are told that it happened, that nothing of theirs is lost, and where it is written
 * down; never what they should have done.
 */
export class Fault extends Error {
  /** what Sledge was doing, in words that follow "while" */
  readonly doing: string;
  constructor(doing: string, cause?: unknown) {
    super(`A fault while ${doing}: ${cause instanceof Error ? cause.message : String(cause ?? 'unknown')}`, { cause });
    this.name = 'Fault';
    this.doing = doing;
  }
}

/** Anything that was thrown as what only we can mend; what is one already stays as it is. */
export const faultOf = (doing: string, thrown: unknown): Fault =>
  thrown instanceof Fault ? thrown : new Fault(doing, thrown);
