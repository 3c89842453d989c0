import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { TRIMMINGS, begunAt, type Trimming } from '#core/cane';
import { thicknesses, translate } from '#core/sheet';
import { readNumber, showLength, showMass, showSize, type UnitSystem } from '#core/units';
import type { CaneAnswer, CaneDto, MachineDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { AmountBar } from '../../parts/AmountBar.js';
import { Choice } from '../../parts/Choice.js';
import { Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Key, Rule, Second, Strip, Word } from '../../theme/pieces.js';
import type { PlainPlan } from '../../workers/cane.worker.js';
import { usePlan, type WorkedCane } from '../../workers/cane.js';
import { saveBuildSheet } from './buildSheet.js';
import type { CaneMaterial } from './materials.js';

/** mm: shorter than this nobody reduces a piece, and so long it is handy. Assumptions. */
const [LEAST, HANDY] = [18, 50];

interface CaneStripProps { readonly cane: CaneAnswer; readonly worked: WorkedCane | null; readonly materials: ReadonlyMap<string, CaneMaterial>; readonly shelf: ShelfAnswer; readonly machines: MachinesAnswer; readonly onChange: (part: Partial<CaneDto>) => void }

export const wantedOf = (cane: CaneAnswer): { slices: number; thickness: number; ends: number; trimming: Trimming } =>
  ({ slices: cane.slices, thickness: cane.sliceMm, ends: cane.ends ?? cane.learnedEnds.ends, trimming: cane.trimming });

/** Grams of every clay that goes in, and of what is cut off. */
export function gramsOf(volumes: readonly (readonly [string, number])[], materials: ReadonlyMap<string, CaneMaterial>): { readonly perClay: Map<string, number>; readonly perMaterial: { readonly material: CaneMaterial; readonly grams: number }[]; readonly total: number } {
  const perMaterial = volumes.flatMap(([key, volume]) => { const material = materials.get(key); return material ? [{ material, grams: (volume * material.density) / 1000 }] : []; });
  const perClay = new Map<string, number>();
  for (const { material, grams } of perMaterial) for (const { clayId, mass } of material.shares) perClay.set(clayId, (perClay.get(clayId) ?? 0) + grams * mass);
  return { perClay, perMaterial, total: perMaterial.reduce((sum, m) => sum + m.grams, 0) };
}

/** What one begins with, in words. */
export function startWords(start: PlainPlan['starts'][number], names: (key: string) => string, own: MachineDto | undefined, units: UnitSystem): string {
  const mm = (x: number): string => showLength(x, units);
  const { step, length, count } = start;
  const times = count > 1 ? `${count} × ` : '';
  const sheet = (thickness: number): string => `${showLength(thickness, units, true)}${settingWords(thickness, own)}`;
  switch (step.do) {
    case 'log': return `${times}log of ${names(step.of)}, ${mm(step.diameter)} across, ${mm(length)} long`;
    case 'block': return `${times}block of ${names(step.of)}, ${showSize(step.width, step.height, units)}, ${mm(length)} long`;
    case 'plug': return `${times}plug of ${names(step.of)}, ${step.wound === 'rolled' ? `${mm(step.width)} across` : showSize(step.width, step.depth, units)}, ${mm(length)} long`;
    case 'roll': return `${times}jelly roll: ${step.layers.map((l) => `${names(l.of)} ${sheet(l.thickness)}`).join(', ')}; sheets of ${showSize(step.rolled, length, units)}`;
    case 'loaf': return `${times}loaf: ${step.times} × (${step.layers.map((l) => `${names(l.of)} ${sheet(l.thickness)}`).join(', ')}), sheets of ${showSize(step.width, length, units)}`;
    case 'template': return `${times}template, ${mm(length)} long`;
    default: return '';
  }
}

/** `, your 4`: the setting of one's own machine for a sheet. */
function settingWords(thickness: number, own: MachineDto | undefined): string {
  if (!own || thicknesses(own).length === 0) return '';
  const { setting, layers } = translate({ mm: thickness, sigmaMm: 0 }, own);
  return layers === 1 ? ` (your ${setting.label})` : ` (${layers} of your ${setting.label})`;
}

export const wrapWords = (wrap: PlainPlan['wraps'][number], names: (key: string) => string, own: MachineDto | undefined, units: UnitSystem): string =>
  `${wrap.count > 1 ? `${wrap.count} × ` : ''}sheet of ${names(wrap.step.of)}, ${showLength(wrap.step.thickness, units, true)}${settingWords(wrap.step.thickness, own)}, ${showSize(wrap.width, wrap.length, units)}`;

/** The paper strip: clay to roll, what to begin with, what is lost. */
export function CaneStrip({ cane, worked, materials, shelf, machines, onChange }: CaneStripProps): ReactElement {
  const units = useUnits();
  const plan = usePlan(worked, wantedOf(cane));
  const own = machines.machines.find((m) => m.id === machines.setup.machineId);
  if (plan === null || plan === '') return <Strip />;
  if (typeof plan === 'string') return <Strip><Warning>{plan}</Warning></Strip>;
  const { perClay, total } = gramsOf(plan.volumes, materials);
  const scrap = gramsOf(plan.scrap, materials);
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  const left = (clayId: string): number => shelf.blocks.reduce((sum, b) => (b.clayId === clayId ? sum + b.leftGrams : sum), 0);
  const shortest = Math.min(Infinity, ...plan.starts.filter((s) => s.path.length === 0).map((s) => s.length));
  const short = shortest < LEAST ? shortest : null;
  // a cane cannot begin thinner than it ends
  const handy = Math.min(HANDY, 0.8 * cane.slices * cane.sliceMm);
  const rows = [...perClay].sort((a, b) => b[1] - a[1]);
  const longest = Math.max(1, ...rows.map(([, g]) => g));
  const path = (p: readonly string[]): string => (p.length === 0 ? '' : ` (${p.join(', ')})`);
  return (
    <Strip aria-label="Clay and what to begin with">
      <div>
        <Box as="h2" marginBottom={1}>Clay to roll</Box>
        <Second>for {cane.slices} slices of {showLength(cane.sliceMm, units)}, ends lost</Second>
        <Box as="ul" marginTop={3}>
          {rows.map(([clayId, grams]) => {
            const short = Math.max(0, grams - left(clayId));
            return (
              <Box as="li" key={clayId} marginBottom={2}>
                <Box display="flex" justifyContent="space-between" fontSize="small"><b>{shelf.clays.find((c) => c.id === clayId)?.name}</b><b>{showMass(grams, units)}</b></Box>
                <AmountBar grams={grams} short={short} longest={longest} hex={shelf.clays.find((c) => c.id === clayId)?.bakedHex ?? '999999'} />
                <Caption>{short > 0.05 ? `${showMass(left(clayId), units)} on the shelf, ${showMass(short, units)} short` : 'on the shelf'}</Caption>
              </Box>
            );
          })}
        </Box>
        <Box fontSize="small"><b>{showMass(total, units)}</b> in all</Box>
      </div>
      <Rule />
      <div>
        <Box as="h2" marginBottom={2}>Start with</Box>
        <Box as="ul" fontSize="small" lineHeight={1.45} css={{ '& li': { marginBottom: '6px' } }}>
          {plan.starts.map((s, i) => <li key={i}>{startWords(s, names, own, units)}{path(s.path)}</li>)}
          {plan.wraps.map((w, i) => <li key={`w${i}`}>{wrapWords(w, names, own, units)}{path(w.path)}</li>)}
        </Box>
      </div>
      {short !== null && <Box><Warning>A piece of {showLength(short, units)} is too short to work with.</Warning>{short < handy && cane.program.steps.some((s) => s.do === 'reduce' && s.to === 'diameter') && <Word fontSize="small" onClick={() => { onChange({ program: { ...cane.program, steps: begunAt(cane.program.steps, Math.sqrt(short / handy)) } }); }}>Begin it smaller, so that it is {showLength(Math.round(handy), units)} long</Word>}</Box>}
      <Rule />
      <Box fontSize="small" lineHeight={1.6}>
        Ends are trimmed <Choice label="When ends are trimmed" value={cane.trimming} options={TRIMMINGS.map((value) => ({ value, text: value }))} onChange={(trimming) => { onChange({ trimming }); }} />, <Value label="Diameters lost at each end" text={(cane.ends ?? cane.learnedEnds.ends).toFixed(2).replace(/\.?0+$/, '')} read={(t) => readNumber(t).valueOf()} onChange={(ends) => { onChange({ ends }); }} /> diameters at each end {cane.ends == null ? <Caption>{cane.learnedEnds.from === 0 ? '(~ assumed)' : `(from ${cane.learnedEnds.from} made)`}</Caption> : <Word fontSize="caption" onClick={() => { onChange({ ends: null }); }}>as learned</Word>}
        <br />{showMass(scrap.total, units)} of scrap for cores: {scrap.perMaterial.map((m) => `${m.material.name} ${showMass(m.grams, units)}`).join(', ')}
      </Box>
      <Rule />
      <Box fontWeight={600}><Link to={`/canes/${cane.id}/make`}>To the bench: make it</Link> <Key>B</Key></Box>
      <Word fontSize="small" textAlign="left" onClick={() => { void saveBuildSheet(cane, plan, materials, own, units); }}>Build sheet as PDF</Word>
    </Strip>
  );
}
