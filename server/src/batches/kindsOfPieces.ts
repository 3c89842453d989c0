import type { AssemblyDto, PieceDto } from '#contract';

/** Everything that a batch makes. */
export interface KindsOfPieces {
  readonly pieces: readonly PieceDto[];
  readonly assemblies: readonly AssemblyDto[];
}
