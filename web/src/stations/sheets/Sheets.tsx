import { Flex, Grid } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
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

/** The sheets of all machines against one scale, and what somebody else's setting is on one's own. */
export default function Sheets(): ReactElement {
  const machines = useMachines();
  const { machineId } = useParams();
  const navigate = useNavigate();
  const [adding, setAdding] = useState(false);
  const [pointed, setPointed] = useState<number | null>(null);
  const [settingId, setSettingId] = useState<string | null>(null);
  const [trueSize, setTrueSize] = useState(false);
  useKeys('Sheets', [
    {
      key: 'n',
      does: 'New machine',
      run: () => {
        setAdding(true);
      },
    },
  ]);
  if (!machines.data) return <Reading error={machines.error} />;
  const { machines: all, setup } = machines.data;
  const own = all.find((m) => m.id === setup.machineId) ?? all[0];
  const chosen = all.find((m) => m.id === machineId) ?? own;
  const choose = (machine: string, setting: string | null): void => {
    setAdding(false);
    setSettingId(setting);
    void navigate(`/sheets/${machine}`);
  };
  const form = adding ? (
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
  ) : null;
  return (
    <Grid templateColumns={own || form ? '1fr 376px' : '1fr'} height="100%" minHeight={0}>
      <Flex direction="column" padding={5} minWidth={0} minHeight={0} overflow="auto">
        {own ? (
          <>
            <SheetsHead title="Thickness ladder">
              <Second>black measured · grey worked out between · hatched assumed</Second>
            </SheetsHead>
            <Ladder
              machines={all}
              setup={setup}
              chosen={chosen?.id}
              settingId={settingId}
              pointed={pointed}
              trueSize={trueSize}
              onChoose={choose}
            />
            <Flex gap={5} wrap="wrap" fontSize="small" alignItems="baseline">
              <Word
                onClick={() => {
                  setAdding(true);
                }}
              >
                Another machine
              </Word>
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
        ) : (
          <Empty
            title="No machine yet"
            action="Describe your machine"
            onAction={() => {
              setAdding(true);
            }}
          >
            Which numbers are on its dial, and which of them is the widest gap? Thicknesses come later, as you measure
            them: until then Sledge assumes usual ones and marks them with a tilde.
          </Empty>
        )}
      </Flex>
      {(own ?? form) && (
        <Strip aria-label="Settings and sheets">
          {form ??
            (own && chosen ? (
              <>
                <Translator machines={all} own={own} setup={setup} onAsked={setPointed} />
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
                  onSetting={setSettingId}
                  onGone={() => {
                    void navigate('/sheets');
                  }}
                />
              </>
            ) : null)}
        </Strip>
      )}
    </Grid>
  );
}
