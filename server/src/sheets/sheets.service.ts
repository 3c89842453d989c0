import { Inject, Injectable } from '@nestjs/common';

import { checkDial } from '#core/sheet';
import type { BenchSetupDto, MachineDto, MachinesAnswer } from '#contract';
import { checkFree, checkVersion, inUse, notThere, refused, refusedAt } from '../access/problem.js';
import { Journal, type Row } from '../db/journal.js';
import { BENCH_ID, SheetsStore } from './sheets.store.js';

/** What a window did not send stays as it was. */
const given = (dto: BenchSetupDto): BenchSetupDto =>
  Object.fromEntries(Object.entries(dto).filter(([, value]) => value !== undefined)) as unknown as BenchSetupDto;
const setupRow = (setup: BenchSetupDto): Row<'benchSetup'> => ({
  ...setup,
  cardMm: setup.cardMm ?? null,
  roomC: setup.roomC ?? null,
  hourly: setup.hourly ?? null,
  overhead: setup.overhead ?? null,
  ovenId: setup.ovenId ?? null,
  guides: setup.guides ?? null,
  gauges: setup.gauges ?? null,
  conditionSettingId: setup.conditionSettingId ?? null,
  conditionPasses: setup.conditionPasses ?? null,
  conditionSchool: setup.conditionSchool ?? null,
  id: BENCH_ID,
});

/** What is measured with, without settings that are taken off a dial; the same where none of them is used. */
function withoutSettings(setup: BenchSetupDto, gone: readonly string[]): BenchSetupDto {
  const lost = (id: string | null | undefined): boolean => id != null && gone.includes(id);
  const [disc, condition] = [lost(setup.discSettingId), lost(setup.conditionSettingId)];
  if (!disc && !condition) return setup;
  return {
    ...setup,
    discSettingId: disc ? null : setup.discSettingId,
    conditionSettingId: condition ? null : (setup.conditionSettingId ?? null),
  };
}

@Injectable()
export class SheetsService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(SheetsStore) private readonly store: SheetsStore,
  ) {}

  async all(): Promise<MachinesAnswer> {
    return { machines: await this.store.machines(), setup: await this.store.setup() };
  }

  async save(changeId: string, dto: MachineDto): Promise<MachineDto> {
    await this.journal.change(changeId, async (draft) => {
      const all = await this.store.machines();
      const stored = all.find((m) => m.id === dto.id);
      await checkVersion(stored?.name ?? 'This machine', stored?.version, dto.version, () => stored);
      checkFree(
        'a machine',
        dto.name,
        all.filter((m) => m.id !== dto.id),
      );
      refusedAt('settings', () => {
        checkDial(dto.settings.map((s) => s.label));
      });
      const settingIds = new Set(dto.settings.map((s) => s.id));
      const astray = dto.readings.findIndex((r) => !settingIds.has(r.settingId));
      if (astray >= 0)
        throw refused('This reading belongs to a setting that is not on the dial.', `readings.${astray}.settingId`);

      const before = await this.store.settingsOf(dto.id);
      const gone = before.filter((s) => !settingIds.has(s.id));
      const uses = await this.store.usesOf(gone.map((s) => s.id));
      if (uses.length > 0)
        throw inUse(
          `Setting ${gone.map((s) => s.label).join(', ')} is used by ${uses.join(', ')}. Choose another ` +
            'setting there first.',
        );
      const { settings, readings, ...machine } = dto;
      await draft.put('machine', { ...machine, name: dto.name.trim(), version: draft.version });
      draft.replace(
        'setting',
        before,
        settings.map(({ id, label, called }, position) => ({
          ...{ id, label, position, machineId: dto.id },
          called: called?.trim() ?? '',
        })),
      );
      draft.replace(
        'reading',
        await this.store.readingsOf(before.map((s) => s.id)),
        readings.map((r) => ({ ...r, takenOn: r.takenOn ?? null })),
      );
      const setup = await this.store.setup();
      const kept = withoutSettings(
        setup,
        gone.map((s) => s.id),
      );
      if (setup.machineId === null || kept !== setup) {
        await draft.put('benchSetup', {
          ...setupRow(kept),
          machineId: setup.machineId ?? dto.id,
          version: draft.version,
        });
      }
      draft.summary = stored ? `changed the machine ${dto.name.trim()}` : `new machine ${dto.name.trim()}`;
    });
    const saved = (await this.store.machines()).find((m) => m.id === dto.id);
    if (!saved) throw notThere('This machine');
    return saved;
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const machine = await draft.find('machine', id);
      if (!machine) throw notThere('This machine');
      await checkVersion(machine.name, machine.version, version, () => machine);
      const settings = await this.store.settingsOf(id);
      const uses = await this.store.usesOf(settings.map((s) => s.id));
      if (uses.length > 0)
        throw inUse(`${machine.name} is used by ${uses.join(', ')}. Choose another machine there first.`);
      const setup = await this.store.setup();
      const kept = withoutSettings(
        setup,
        settings.map((s) => s.id),
      );
      if (setup.machineId === id || kept !== setup) {
        const machineId = setup.machineId === id ? null : setup.machineId;
        await draft.put('benchSetup', { ...setupRow(kept), machineId, version: draft.version });
      }
      draft.remove('reading', await this.store.readingsOf(settings.map((s) => s.id)));
      draft.remove('setting', settings);
      draft.remove('machine', [machine]);
      draft.summary = `took away the machine ${machine.name}`;
    });
  }

  async saveSetup(changeId: string, dto: BenchSetupDto): Promise<BenchSetupDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await this.store.setup();
      await checkVersion('What you measure with', stored.version, dto.version, () => stored);
      const all = await this.store.machines();
      if (dto.machineId !== null && !all.some((m) => m.id === dto.machineId))
        throw refused('This machine is not there any more.', 'machineId');
      if (dto.discSettingId !== null && !all.some((m) => m.settings.some((s) => s.id === dto.discSettingId))) {
        throw refused('This setting is not there any more.', 'discSettingId');
      }
      if (dto.conditionSettingId != null && !all.some((m) => m.settings.some((s) => s.id === dto.conditionSettingId))) {
        throw refused('This setting is not there any more.', 'conditionSettingId');
      }
      if (dto.ovenId != null && !(await draft.find('oven', dto.ovenId)))
        throw refused('This oven is not there any more.', 'ovenId');
      await draft.put('benchSetup', { ...setupRow({ ...stored, ...given(dto) }), version: draft.version });
      draft.summary = 'changed what you measure with';
    });
    return this.store.setup();
  }
}
