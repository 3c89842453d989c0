import { copyOfAssembly } from './assembled/assemblyMoves.js';
import { asName } from '../../parts/names.js';
import { ownMachine } from '../../state/bench.js';
import { thicknesses, type SettingThickness } from '#core/sheet';
import type { BatchAnswer, BatchDto, MachineDto, MachinesAnswer, PieceDto, TakenBy } from '#contract';

/** A setting of one of the machines; `own` is that of the bench. */
export interface OwnSetting extends SettingThickness {
  readonly machine: MachineDto;
  readonly own: boolean;
}

/** All settings that a layer can be rolled at. */
export function settingsOf(machines: MachinesAnswer): readonly OwnSetting[] {
  const own = ownMachine(machines);
  return machines.machines.flatMap((machine) =>
    thicknesses(machine).map((s) => ({ ...s, machine, own: machine.id === own?.id })),
  );
}

/** What of a batch is saved. */
export const dtoOf = ({ id, version, name, note, dueOn, pieces, assemblies }: BatchAnswer): BatchDto => ({
  id,
  version,
  name,
  note,
  dueOn,
  pieces: [...pieces],
  assemblies: [...assemblies],
});

/** Widest sheet that is laid out unasked, mm. */
const USUAL_SHEET = 110;

/** The first of a new kind of piece; null where no machine says how thick a sheet is. */
export function newPiece(batch: BatchAnswer, machines: MachinesAnswer, of: TakenBy<'layer'>): PieceDto | null {
  const own = ownMachine(machines);
  const usual = own?.settings[Math.floor(own.settings.length / 2)];
  if (!own || !usual) return null;
  return {
    id: crypto.randomUUID(),
    name: `Piece ${batch.pieces.length + 1}`,
    shape: 'round',
    widthMm: 20,
    heightMm: null,
    count: 10,
    spare: 1,
    bridgeMm: 2,
    edgeMm: batch.pieces.at(-1)?.edgeMm ?? 0,
    sheetWidthMm: Math.min(USUAL_SHEET, own.rollerWidthMm),
    sheetLengthMm: 200,
    layers: [{ id: crypto.randomUUID(), of, settingId: usual.id }],
  };
}

/** The same batch once more, for another day: nothing of it is shared with the first. */
export const copyOf = (batch: BatchAnswer): BatchDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name: asName(`${batch.name}, again`),
  note: batch.note,
  dueOn: null,
  pieces: batch.pieces.map((p) => ({
    ...p,
    id: crypto.randomUUID(),
    layers: p.layers.map((l) => ({ ...l, id: crypto.randomUUID() })),
  })),
  assemblies: batch.assemblies.map(copyOfAssembly),
});

/** A sentence about one of the fields of a form. */
export interface FieldSentence {
  readonly field: string;
  readonly sentence: string;
}

/** Those sentences of a refusal that are about one of the pieces, by its own fields. */
export function refusedOf(
  fields: readonly FieldSentence[] | undefined,
  at: number,
  list: 'pieces' | 'assemblies' = 'pieces',
): readonly FieldSentence[] {
  const place = `${list}.${at}.`;
  return (fields ?? [])
    .filter((f) => f.field.startsWith(place))
    .map((f) => ({ field: f.field.slice(place.length), sentence: f.sentence }));
}

/** Whether a refusal is about no field that is shown with its own sentence. */
export const isGeneral = (fields: readonly FieldSentence[] | undefined): boolean =>
  !(fields ?? []).some((f) => f.field === 'name' || /^(pieces|assemblies)\./.test(f.field));
