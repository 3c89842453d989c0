import { keyOf, ofBlend, ofClay } from '#core/material';
import { Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { EYE, PROGRAM_VERSION, partsOf, type Do, type Step } from '#core/cane';
import type { BlendCard, CaneAnswer, CaneCard, CaneDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';
import { useJudged, usePlan } from '../../workers/cane.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { AddStep } from './AddStep.js';
import { CaneStrip } from './CaneStrip.js';
import { wantedOf } from './caneWords.js';
import { MakeCane } from './MakeCane.js';
import { newStep, stepTitle } from './steps/index.js';
import { stepsAt, withSteps, type Path } from './parts.js';
import { SavePictures } from './SavePictures.js';
import { Slices } from './Slices.js';
import { StepBench } from './StepBench.js';
import { StepRow } from './StepRow.js';
import { Tiling } from './Tiling.js';
import { WOBBLES, useCane, type Wobble } from './useCane.js';
import { warningWords } from './warningWords.js';

interface CaneViewProps {
  readonly cane: CaneAnswer;
  readonly making: boolean;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly blends: readonly BlendCard[];
  readonly canes: readonly CaneCard[];
}
const WOBBLE_WORDS = WOBBLES.map((value) => ({
  value,
  text: { off: 'off', steady: 'steady', honest: 'honest' }[value],
}));
/** mm of blur by the eye: at 30 cm its line spread, at arm’s length twice that. */
const BLUR = { close: 0, '30 cm': EYE, 'arm’s length': 2 * EYE } as const;
const SEEN = [
  { value: 'close', text: 'close' },
  { value: '30 cm', text: 'at 30 cm' },
  { value: 'arm’s length', text: 'at arm’s length' },
] as const;

export const sentCane = ({
  id,
  version,
  name,
  note,
  retired,
  program,
  slices,
  sliceMm,
  trimming,
  ends,
}: CaneAnswer): CaneDto => ({
  id,
  version,
  name,
  note,
  retired,
  program,
  slices,
  sliceMm,
  trimming,
  ends: ends ?? null,
});

/** One cane: its steps in a row, the chosen face large, and what it takes. */
export function CaneView({ cane, making, shelf, machines, blends, canes }: CaneViewProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const [wobble, setWobble] = useState<Wobble>('off');
  const [trueSize, setTrueSize] = useState(false);
  const [seen, setSeen] = useState<(typeof SEEN)[number]['value']>('close');
  const [path, setPath] = useState<Path>([]);
  const [chosen, setChosen] = useState(cane.program.steps.length - 1);
  const [adding, setAdding] = useState(false);
  const saved = cane.program.steps;
  const steps = stepsAt(saved, path) ?? saved;
  const here = stepsAt(saved, path) === null ? [] : path;
  const bench = useCane(cane, steps, shelf, wobble);
  const { worked, materials, paints, judged } = bench;
  const { warnings, feature } = useJudged(worked, judged);
  const plan = usePlan(here.length === 0 ? worked : null, wantedOf(cane));
  const stages =
    here.length === 0 && plan !== null && typeof plan === 'object' && plan.stages.length >= steps.length - 1
      ? plan.stages
      : null;
  const url = `/api/canes/${cane.id}`;
  const refusal = useRefusal(url);
  /** a step says already, in its own words, why it cannot be kept */
  const said = worked?.steps.some((s) => s.wrong !== null) ?? false;
  const at = Math.min(chosen, steps.length - 1);
  const step = steps[at];
  const figures = worked?.steps[at];
  const save = (part: Partial<CaneDto>): void => {
    void put<CaneDto>(url, { ...sentCane(cane), ...part }, { ...cane, ...part });
  };
  const keep = (next: readonly Step[]): void => {
    save({ program: { ...cane.program, steps: [...withSteps(saved, here, next)] } });
  };
  const edit = (next: Step): void => {
    keep(steps.map((s, i) => (i === at ? next : s)));
  };
  const plain = useMemo(() => shelf.clays.filter((c) => !c.retired && c.kind === 'opaque'), [shelf]);
  const add = (kind: Do): void => {
    setAdding(false);
    const [light, dark] = [plain[0]?.id ?? '', plain[1]?.id ?? plain[0]?.id ?? ''];
    const blend = blends[0] ? keyOf(ofBlend(blends[0].revisionId)) : null;
    keep([
      ...steps.slice(0, at + 1),
      newStep(kind, figures ?? null, { light: keyOf(ofClay(light)), dark: keyOf(ofClay(dark)), blend }),
      ...steps.slice(at + 1),
    ]);
    setChosen(at + 1);
  };
  const move = (by: number): void => {
    const to = at + by;
    if (at < 1 || to < 1 || to >= steps.length) return;
    const next = [...steps];
    [next[at], next[to]] = [next[to] as Step, next[at] as Step];
    keep(next);
    setChosen(to);
  };
  const copy = (): void => {
    if (step && at > 0) {
      keep([...steps.slice(0, at + 1), { ...step, id: crypto.randomUUID() }, ...steps.slice(at + 1)]);
      setChosen(at + 1);
    }
  };
  const remove = (): void => {
    if (at > 0) {
      keep(steps.filter((_, i) => i !== at));
      setChosen(at - 1);
    }
  };
  useKeys(
    'This cane',
    making
      ? []
      : [
          {
            key: 'ArrowLeft',
            does: 'The step before',
            run: () => {
              setChosen(Math.max(0, at - 1));
            },
          },
          {
            key: 'ArrowRight',
            does: 'The next step',
            run: () => {
              setChosen(Math.min(steps.length - 1, at + 1));
            },
          },
          {
            key: 'a',
            does: 'Add a step after this one',
            run: () => {
              setAdding(true);
            },
          },
          {
            key: ',',
            does: 'Move the step earlier',
            run: () => {
              move(-1);
            },
          },
          {
            key: '.',
            does: 'Move the step later',
            run: () => {
              move(1);
            },
          },
          { key: 'y', does: 'Copy the step', run: copy },
          { key: 'Delete', does: 'Take the step out', run: remove },
          {
            key: 't',
            does: 'The face at true size',
            run: () => {
              setTrueSize(!trueSize);
            },
          },
          {
            key: 'b',
            does: 'To the bench: make it',
            run: () => {
              void navigate(`/canes/${cane.id}/make`);
            },
          },
        ],
  );
  /** The other one of a pair: left and right exchanged. */
  const twin = async (): Promise<void> => {
    const dto: CaneDto = {
      ...sentCane(cane),
      id: crypto.randomUUID(),
      version: 0,
      name: `${cane.name}, twin`.slice(0, 80),
      retired: false,
      program: {
        version: PROGRAM_VERSION,
        steps: [
          { id: crypto.randomUUID(), do: 'cane', part: { ref: cane.revisionId, name: cane.name } },
          { id: crypto.randomUUID(), do: 'mirror' },
        ],
      },
    };
    if (await change('PUT', `/api/canes/${dto.id}`, dto)) void navigate(`/canes/${dto.id}`);
  };
  const name = (key: string): string => materials.get(key)?.name ?? '';
  if (making)
    return (
      <MakeCane cane={cane} worked={worked} materials={materials} paints={paints} shelf={shelf} machines={machines} />
    );
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>
            {here.length > 0 ? (
              <Word
                onClick={() => {
                  setPath([]);
                }}
              >
                {cane.name}
              </Word>
            ) : (
              <TextValue
                label="Name of the cane"
                value={cane.name}
                refusal={refusal?.sentenceFor('name')}
                onChange={(next) => {
                  save({ name: next });
                }}
              />
            )}
            {here.length > 0 && <Second> › {partName(saved, here)}</Second>}
          </h1>
          <Second>
            revision {cane.revision}
            {cane.made ? ', made: a change begins a new one' : ''}
          </Second>
          <Flex marginLeft="auto" gap={4} fontSize="small" alignItems="baseline" wrap="wrap">
            <Word
              aria-pressed={trueSize}
              onClick={() => {
                setTrueSize(!trueSize);
              }}
            >
              {trueSize ? 'Large' : 'True size'}
            </Word>
            <span>
              hands <Choice label="Hand wobble" value={wobble} options={WOBBLE_WORDS} onChange={setWobble} />
            </span>
            <span>
              seen <Choice label="From how far it is seen" value={seen} options={SEEN} onChange={setSeen} />
            </span>
            <Word
              onClick={() => {
                void twin();
              }}
            >
              Twin
            </Word>
            <Word
              onClick={() => {
                save({ retired: !cane.retired });
              }}
            >
              {cane.retired ? 'Bring it back' : 'Retire'}
            </Word>
            <Word
              onClick={() => {
                void change('DELETE', `${url}?version=${cane.version}`).then((gone) => {
                  if (gone !== null) void navigate('/canes');
                });
              }}
            >
              Take away
            </Word>
            <Word
              onClick={() => {
                void navigate('/canes');
              }}
            >
              all canes
            </Word>
          </Flex>
        </Flex>
        {refusal && !refusal.sentenceFor('name') && !said && (
          <Warning>{refusal.sentenceFor('program') ?? refusal.message}</Warning>
        )}
        <StepRow
          steps={steps}
          worked={worked}
          stages={stages}
          paints={paints}
          chosen={at}
          onChoose={setChosen}
          onAdd={() => {
            setChosen(steps.length - 1);
            setAdding(true);
          }}
        />
        {adding && step && (
          <AddStep
            after={`${at + 1} ${stepTitle(step, units)}`}
            onAdd={add}
            onCancel={() => {
              setAdding(false);
            }}
          />
        )}
        {step && (
          <StepBench
            cane={cane}
            bench={bench}
            steps={steps}
            at={at}
            wobble={wobble}
            trueSize={trueSize}
            blur={BLUR[seen]}
            feature={at === steps.length - 1 ? feature : null}
            stages={stages}
            shelf={shelf}
            blends={blends}
            canes={canes}
            onChange={edit}
            onOpen={(part) => {
              setPath([...here, { step: at, part }]);
              setChosen(0);
            }}
            onAdd={() => {
              setAdding(true);
            }}
            onMove={move}
            onCopy={copy}
            onRemove={remove}
          >
            {here.length === 0 && (
              <Slices
                cane={cane}
                worked={worked}
                paints={paints}
                materials={materials}
                own={machines.machines.find((m) => m.id === machines.setup.machineId)}
                onChange={save}
              />
            )}
            {here.length === 0 && warnings.map((w, i) => <Warning key={i}>{warningWords(w, name, units)}</Warning>)}
            {here.length === 0 && worked && (
              <Tiling
                worked={worked}
                at={Math.max(
                  0,
                  worked.steps.findLastIndex((s) => s.there),
                )}
                paints={paints}
              />
            )}
            {here.length === 0 && (
              <SavePictures cane={cane} worked={worked} paints={paints} materials={materials} at={at} />
            )}
          </StepBench>
        )}
      </Flex>
      <CaneStrip
        cane={cane}
        plan={here.length === 0 ? plan : null}
        materials={materials}
        shelf={shelf}
        machines={machines}
        onChange={save}
      />
    </Grid>
  );
}

function partName(steps: readonly Step[], path: Path): string {
  const [first, ...rest] = path;
  const part = first && steps[first.step] ? partsOf(steps[first.step] as Step)[first.part] : undefined;
  const own = part?.name ?? 'a part';
  return rest.length > 0 && part && 'steps' in part ? `${own} › ${partName(part.steps, rest)}` : own;
}
