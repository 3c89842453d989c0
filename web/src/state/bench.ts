import type { BenchSetupDto, MachineDto } from '#contract';

interface Bench {
  readonly machines: readonly MachineDto[];
  readonly setup: BenchSetupDto;
}

/** The machine that stands on the bench, where one was said to. */
export const benchMachine = ({ machines, setup }: Bench): MachineDto | undefined =>
  machines.find((m) => m.id === setup.machineId);

/** The machine on the bench, or else the first there is. */
export const ownMachine = (bench: Bench): MachineDto | undefined => benchMachine(bench) ?? bench.machines[0];
