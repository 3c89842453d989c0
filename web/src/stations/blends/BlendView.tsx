import { Flex, Grid } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { showLength, type UnitSystem } from '#core/units';
import type { BlendAnswer, MachinesAnswer, ShelfAnswer } from '#contract';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useUnits } from '../../state/view.js';
import { BlendHead } from './BlendHead.js';
import { BlendStrip } from './BlendStrip.js';
import { CutLine } from './CutLine.js';
import { scaleIn, useRoom } from './cutPlace.js';
import { CutSheet } from './CutSheet.js';
import { FadeView } from './FadeView.js';
import { MakeBlend } from './MakeBlend.js';
import { Marry } from './Marry.js';
import { PassBars } from './PassBars.js';
import { Strips } from './Strips.js';
import { TapePlug } from './TapePlug.js';
import { Template } from './Template.js';
import { TemplateLine } from './TemplateLine.js';
import { useBlendEditing, type BlendEditing } from './useBlendEditing.js';
import type { WorkedBlend } from './workedBlend.js';

interface BlendViewProps {
  readonly blend: BlendAnswer;
  /** at the bench */ readonly making: boolean;
  readonly machines: MachinesAnswer;
  readonly shelf: ShelfAnswer;
}

function useBlendKeys({ blend, carry, compensate }: BlendEditing): void {
  const navigate = useNavigate();
  useKeys('This blend', [
    { key: 'c', does: 'Carry it on the tile', run: carry },
    { key: 'e', does: 'Take the compensated cut', run: compensate },
    {
      key: 'b',
      does: 'To the bench: make it',
      run: () => {
        void navigate(`/blends/${blend.id}/make`);
      },
    },
    {
      key: 'p',
      does: 'Print the paper template',
      run: () => {
        window.print();
      },
    },
  ]);
}

/** Name, colours, and what was wrong with the last change. */
function HeadAndPicker({ editing }: { readonly editing: BlendEditing }): ReactElement {
  const { picking, pick, pickAt } = editing;
  return (
    <>
      <BlendHead editing={editing} />
      {picking !== null && (
        <MaterialPicker
          place="colour"
          label="Colour of the blend"
          onPick={({ of }) => {
            pick(of);
          }}
          onCancel={() => {
            pickAt(null);
          }}
        />
      )}
    </>
  );
}

/** The sheets that it is laid of, in words. */
function sheetWords({ setting }: WorkedBlend, units: UnitSystem): string {
  if (!setting) return '~2 mm';
  const about = setting.knowledge === 'assumed' ? '~' : '';
  return `your ${setting.label} (${about}${showLength(setting.mm, units, true)} each)`;
}

interface TableProps {
  readonly editing: BlendEditing;
  readonly worked: WorkedBlend;
  readonly later: WorkedBlend;
  readonly sheet: string;
}

/** The sheet with its cuts, the fade, and what becomes of it. */
function BlendTable({ editing, worked, later, sheet }: TableProps): ReactNode {
  const { blend, shelf, own, wrong, refusal, drag, drop, replan } = editing;
  const { plan } = blend;
  const scale = scaleIn(worked.layout, useRoom());
  return (
    <Flex direction="column" gap={3} padding={5} overflowY="auto" overflowX="auto" minWidth={0}>
      <HeadAndPicker editing={editing} />
      {refusal && !refusal.sentenceFor('name') ? <Warning>{refusal.message}</Warning> : null}
      {wrong !== null && <Warning>{wrong}</Warning>}
      <CutLine editing={editing} settings={worked.settings} />
      <CutSheet
        layout={worked.layout}
        colours={worked.colours}
        layers={plan.layers}
        sheet={sheet}
        scale={scale}
        onDrag={drag}
        onDrop={drop}
      />
      <FadeView editing={editing} worked={worked} later={later} scale={scale} />
      <Grid flex="none" borderTop="rule" paddingTop={4} templateColumns="168px 224px minmax(0, 1fr)" gap={4}>
        <PassBars contrast={later.contrast} counted={blend.counted.length} passes={later.passes} />
        <TapePlug plan={plan} worked={later} own={own} onChange={replan} />
      </Grid>
      <TemplateLine name={blend.name} worked={worked} layers={`${plan.layers} layers of ${sheet}`} />
      <Grid flex="none" borderTop="rule" paddingTop={4} templateColumns="minmax(0, 1.2fr) minmax(0, 1fr)" gap={5}>
        <Strips worked={later} />
        <Marry blend={blend} shelf={shelf} own={own} />
      </Grid>
    </Flex>
  );
}

/** One blend: its cuts, the fade they give, and what becomes of it. */
export function BlendView({ blend, making, machines, shelf }: BlendViewProps): ReactElement {
  const units = useUnits();
  const editing = useBlendEditing(blend, machines, shelf);
  useBlendKeys(editing);
  const { worked, own, replan } = editing;
  if (typeof worked === 'string')
    return (
      <Flex direction="column" gap={4} padding={5}>
        <HeadAndPicker editing={editing} />
        {worked !== '' && <Warning>{worked}</Warning>}
      </Flex>
    );
  if (making) return <MakeBlend blend={blend} worked={worked} shelf={shelf} own={own} />;
  const later = typeof editing.later === 'string' ? worked : editing.later;
  const sheet = sheetWords(worked, units);
  return (
    <>
      <Grid templateColumns="minmax(0, 1fr) 286px" minHeight={0} css={{ '@media print': { display: 'none' } }}>
        <BlendTable editing={editing} worked={worked} later={later} sheet={sheet} />
        <BlendStrip
          plan={blend.plan}
          worked={later}
          own={own}
          shelf={shelf}
          setup={machines.setup}
          blendId={blend.id}
          onChange={replan}
        />
      </Grid>
      <Template
        name={blend.name}
        layout={worked.layout}
        colours={worked.colours}
        layers={blend.plan.layers}
        sheet={sheet}
      />
    </>
  );
}
