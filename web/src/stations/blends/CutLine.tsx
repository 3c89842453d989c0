import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BlendCut } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { cutsFor } from './planMoves.js';
import type { BlendEditing } from './useBlendEditing.js';
import type { WorkedBlend } from './workedBlend.js';

const CUT_WORDS: Readonly<Record<BlendCut, string>> = {
  corner: 'corner to corner',
  'pure ends': 'with pure ends',
  diamond: 'as a diamond',
  V: 'as a V',
  teardrop: 'as teardrops',
  compensated: 'compensated',
  free: 'freely',
};

interface CutLineProps {
  readonly editing: BlendEditing;
  readonly settings: WorkedBlend['settings'];
}

/** The setting of the machine that the sheets are rolled at. */
function SheetSetting({ editing, settings }: CutLineProps): ReactElement | null {
  const { settingId } = editing.blend.plan;
  if (settings.length === 0) return null;
  const unset = settingId === null ? [{ value: '', text: 'setting' }] : [];
  return (
    <>
      {' '}
      of your{' '}
      <Choice
        label="Setting of the sheets"
        value={settingId ?? ''}
        options={[...unset, ...settings.map((s) => ({ value: s.id, text: s.label }))]}
        onChange={(id) => {
          editing.replan({ settingId: id === '' ? null : id });
        }}
      />
    </>
  );
}

/** How the sheets are cut, as a sentence whose numbers can be changed. */
export function CutLine({ editing, settings }: CutLineProps): ReactElement {
  const { relay, resize, replan } = editing;
  const { plan } = editing.blend;
  return (
    <Box fontSize="small">
      Cut{' '}
      <Choice
        label="How it is cut"
        value={plan.kind}
        options={cutsFor(plan).map((value) => ({ value, text: CUT_WORDS[value] }))}
        onChange={(kind) => {
          relay({ kind });
        }}
      />
      ,{' '}
      <LengthValue
        label="Width of the sheet"
        value={plan.width}
        onChange={(width) => {
          resize(width, plan.height);
        }}
      />{' '}
      by{' '}
      <LengthValue
        label="Height of the sheet"
        value={plan.height}
        onChange={(height) => {
          resize(plan.width, height);
        }}
      />
      , ends pure for{' '}
      <LengthValue
        label="Pure ends"
        value={plan.pure}
        onChange={(pure) => {
          relay({ pure });
        }}
      />
      ,{' '}
      <CountValue
        label="Layers of the blend"
        value={plan.layers}
        onChange={(layers) => {
          replan({ layers });
        }}
      />{' '}
      layers
      <SheetSetting editing={editing} settings={settings} />
    </Box>
  );
}
