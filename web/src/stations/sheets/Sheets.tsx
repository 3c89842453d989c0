import { ownMachine } from '../../state/bench.js';
import { Flex, Grid } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { BenchSetupDto, MachineDto } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { useKeys } from '../../state/keys.js';
import { Rule, Second, Strip, Word } from '../../theme/pieces.js';
import { useMachines } from '../../wire/queries.js';
import { FeedPlan } from './FeedPlan.js';
import { Guides } from './Guides.js';
import { Ladder } from './Ladder.js';
import { MachineWords } from './MachineWords.js';
import { SheetOf } from './SheetOf.js';
import { SheetsHead } from './SheetsHead.js';
import { TrueScale } from './TrueScale.js';
import { Translator } from './Translator.js';

const AddMachine = lazy(() => import('./AddMachine.js'));

/** What is looked at on the ladder. */
interface Looked {
  readonly all: readonly MachineDto[];
  readonly setup: BenchSetupDto;
  readonly chosen: MachineDto;
  readonly settingId: string | null;
}

interface LadderPageProps extends Looked {
  /** mm somebody asked for */
  readonly pointed: number | null;
  readonly onChoose: (machineId: string, settingId: string | null) => void;
  readonly onAdd: () => void;
}

/** The ladder, and what is set about it. */
function LadderPage({ all, setup, chosen, settingId, pointed, onChoose, onAdd }: LadderPageProps): ReactElement {
  const [trueSize, setTrueSize] = useState(false);
  return (
    <>
      <SheetsHead title="Thickness ladder">
        <Second>black measured · grey worked out between · hatched assumed</Second>
      </SheetsHead>
      <Ladder
        machines={all}
        setup={setup}
        chosen={chosen.id}
        settingId={settingId}
        pointed={pointed}
        trueSize={trueSize}
        onChoose={onChoose}
      />
      <Flex gap={5} wrap="wrap" fontSize="small" alignItems="baseline">
        <Word onClick={onAdd}>Another machine</Word>
        <Word
          aria-pressed={trueSize}
          onClick={() => {
            setTrueSize(!trueSize);
          }}
        >
          {trueSize ? 'Edges enlarged' : 'Edges at true size'}
        </Word>
        <Guides setup={setup} />
      </Flex>
      {trueSize && <TrueScale />}
    </>
  );
}

function NoMachine({ onAdd }: { readonly onAdd: () => void }): ReactElement {
  return (
    <Empty title="No machine yet" action="Describe your machine" onAction={onAdd}>
      Which numbers are on its dial, and which of them is the widest gap? Thicknesses come later, as you measure them:
      until then Sledge assumes usual ones and marks them with a tilde.
    </Empty>
  );
}

interface SettingsProps extends Looked {
  readonly own: MachineDto;
  readonly onAsked: (mm: number | null) => void;
  readonly onSetting: (id: string | null) => void;
}

/** Other people's settings, the way to a setting, sheets, and the chosen machine. */
function Settings({ all, own, setup, chosen, settingId, onAsked, onSetting }: SettingsProps): ReactElement {
  const navigate = useNavigate();
  return (
    <>
      <Translator machines={all} own={own} setup={setup} onAsked={onAsked} />
      <Rule />
      <FeedPlan own={own} />
      <Rule />
      <SheetOf own={own} />
      <Rule />
      <MachineWords
        key={chosen.id}
        machine={chosen}
        mine={chosen.id === own.id}
        setup={setup}
        settingId={settingId}
        onSetting={onSetting}
        onGone={() => {
          void navigate('/sheets');
        }}
      />
    </>
  );
}

/** The sheets of all machines against one scale, and what somebody else's setting is on one's own. */
export default function Sheets(): ReactElement {
  const machines = useMachines();
  const { machineId } = useParams();
  const navigate = useNavigate();
  const [adding, setAdding] = useState(false);
  const [pointed, setPointed] = useState<number | null>(null);
  const [settingId, setSettingId] = useState<string | null>(null);
  const add = (): void => {
    setAdding(true);
  };
  useKeys('Sheets', [{ key: 'n', does: 'New machine', run: add }]);
  if (!machines.data) return <Reading error={machines.error} />;
  const { machines: all, setup } = machines.data;
  const own = ownMachine(machines.data);
  const chosen = all.find((m) => m.id === machineId) ?? own;
  const choose = (machine: string, setting: string | null): void => {
    setAdding(false);
    setSettingId(setting);
    void navigate(`/sheets/${machine}`);
  };
  const looked = chosen && { all, setup, chosen, settingId };
  const form = adding && (
    <Suspense fallback={null}>
      <AddMachine
        onCancel={() => {
          setAdding(false);
        }}
        onSaved={(id) => {
          choose(id, null);
        }}
      />
    </Suspense>
  );
  return (
    <Grid templateColumns={own || form ? '1fr 376px' : '1fr'} height="100%" minHeight={0}>
      <Flex direction="column" padding={5} minWidth={0} minHeight={0} overflow="auto">
        {looked ? (
          <LadderPage {...looked} pointed={pointed} onChoose={choose} onAdd={add} />
        ) : (
          <NoMachine onAdd={add} />
        )}
      </Flex>
      {(own !== undefined || form) && (
        <Strip aria-label="Settings and sheets">
          {form || (looked && own && <Settings {...looked} own={own} onAsked={setPointed} onSetting={setSettingId} />)}
        </Strip>
      )}
    </Grid>
  );
}
