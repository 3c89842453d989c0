import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { inOrderOfUse, lotsOf, type Lot } from '#core/batch';
import { showAge } from '#core/clay';
import {
  SCHOOLS_OF_CONDITIONING,
  USUAL_ROOM,
  conditionPlan,
  thicknesses,
  type ConditionStep,
  type Conditioner,
} from '#core/sheet';
import { orSentence, showMass } from '#core/units';
import type { BenchSetupDto, ConditionedDto, ShelfAnswer } from '#contract';
import { BenchSteps } from '../../parts/BenchSteps.js';
import { Choice } from '../../parts/Choice.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { readCount } from '../../parts/readCount.js';
import { CountValue, MassValue, TemperatureValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { WriteDown } from '../../parts/WriteDown.js';
import { useKeys } from '../../state/keys.js';
import { today } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Key, Second, Word } from '../../theme/pieces.js';
import { useConditioned, useMachines, useShelf } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { SCHOOL_WORDS, WARNING_WORDS, becauseWords, conditionWords } from './conditionWords.js';
import { SheetsHead } from './SheetsHead.js';

/** How clay of the shelf is made to fold without cracking: the plan, and at the bench. */
export default function Condition(): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const { detail } = useParams();
  const [query, setQuery] = useSearchParams();
  const [shelf, machines, counted] = [useShelf(), useMachines(), useConditioned()];
  const making = detail === 'make';
  useKeys(
    'Conditioning',
    making
      ? []
      : [
          {
            key: 'b',
            does: 'To the bench: condition it',
            run: () => {
              void navigate(`/sheets/condition/make?${query.toString()}`);
            },
          },
        ],
  );
  if (!shelf.data || !machines.data || !counted.data)
    return <Reading error={shelf.error ?? machines.error ?? counted.error} />;
  const clays = shelf.data.clays.filter((c) => !c.retired);
  const clay = clays.find((c) => c.id === query.get('clay')) ?? clays[0];
  if (!clay)
    return (
      <Box padding={5}>
        <SheetsHead title="Conditioning" />
        <Empty
          title="No clay to condition yet"
          action="Go to the shelf"
          onAction={() => {
            void navigate('/shelf');
          }}
        >
          Put a block on the shelf: its line and its age decide how much work it is.
        </Empty>
      </Box>
    );
  const line = shelf.data.lines.find((l) => l.id === clay.lineId);
  const blocks = shelf.data.blocks.filter((b) => b.clayId === clay.id);
  const first = inOrderOfUse(blocks.filter((b) => b.leftGrams > 0))[0];
  const wanted = Number(query.get('grams') ?? 0) || Math.min(57, first?.leftGrams ?? 57);
  // each block has its age: they are conditioned one after the other
  const lots = lotsOf(blocks, wanted, today());
  const lot = lots[Number(query.get('lot') ?? 0)] ?? lots[0];
  const months = lot?.months ?? null;
  const grams = lot?.grams ?? wanted;
  const school = SCHOOLS_OF_CONDITIONING.find((s) => s === query.get('school')) ?? 'thin slices';
  const { setup } = machines.data;
  const machine = machines.data.machines.find((m) => m.id === setup.machineId) ?? null;
  const roomC = setup.roomC ?? USUAL_ROOM;
  const set = (key: string, value: string): void => {
    const next = new URLSearchParams(query);
    next.set(key, value);
    setQuery(next, { replace: true });
  };
  const firmness = line?.firmness ?? 'medium';
  const plan = orSentence(() =>
    conditionPlan({
      lineId: clay.lineId,
      firmness,
      months,
      grams,
      roomC,
      school,
      machine,
      counted: counted.data,
      ownPasses: setup.conditionPasses ?? null,
      workingSettingId: setup.conditionSettingId ?? null,
    }),
  );
  if (making && typeof plan !== 'string') {
    return (
      <Flex direction="column" padding={5} height="100%" overflowY="auto" gap={4}>
        <Box fontSize="small">
          {clay.name} · {line?.name}
        </Box>
        <BenchSteps
          what={`conditioning ${clay.id}`}
          steps={plan.steps.map((s) => conditionWords(s, units))}
          foot={<Link to={`/sheets/condition?${query.toString()}`}>the plan</Link>}
          finish={(counts, back, leave) => (
            <Done
              shelf={shelf.data}
              dto={{ clayId: clay.id, firmness, months, roomC, school, grams }}
              counted={Math.max(...counts, 0)}
              onBack={back}
              onDone={(id) => {
                leave();
                void navigate(`/diary/${id}`);
              }}
            />
          )}
        />
      </Flex>
    );
  }
  const settings = machine ? thicknesses(machine) : [];
  const saveSetup = (part: Partial<BenchSetupDto>): void => {
    void change('PUT', '/api/bench', { ...setup, ...part });
  };
  return (
    <Box padding={5} height="100%" overflowY="auto">
      <SheetsHead title="Conditioning" />
      <Box fontSize="h3" lineHeight={1.7} marginBottom={4} maxWidth="860px">
        <MassValue
          label="How much clay"
          value={wanted}
          onChange={(g) => {
            if (g > 0) set('grams', String(g));
          }}
        />{' '}
        of{' '}
        <Choice
          label="Clay to condition"
          value={clay.id}
          options={clays.map((c) => ({
            value: c.id,
            text: `${c.name}, ${shelf.data.lines.find((l) => l.id === c.lineId)?.name ?? ''}`,
          }))}
          onChange={(id) => {
            set('clay', id);
          }}
        />{' '}
        ({firmness}
        {months === null ? ', of unknown age' : `, ${showAge(months)} old`}), in a room of{' '}
        {setup.roomC == null ? '~' : ''}
        <TemperatureValue
          label="How warm the room is"
          value={roomC}
          onChange={(c) => {
            saveSetup({ roomC: c });
          }}
        />
        ,{' '}
        <Choice
          label="How it is conditioned"
          value={machine ? school : 'by hand'}
          options={SCHOOLS_OF_CONDITIONING.map((value) => ({ value, text: SCHOOL_WORDS[value] }))}
          onChange={(s) => {
            set('school', s);
          }}
        />
        {settings.length > 0 && (
          <>
            ; your working setting is{' '}
            <Choice
              label="Your working setting"
              value={setup.conditionSettingId ?? ''}
              options={[{ value: '', text: 'the usual one' }, ...settings.map((s) => ({ value: s.id, text: s.label }))]}
              onChange={(id) => {
                saveSetup({ conditionSettingId: id === '' ? null : id });
              }}
            />
          </>
        )}
        , your number of passes{' '}
        <Value
          label="Your number of passes"
          text={setup.conditionPasses == null ? 'not said' : String(setup.conditionPasses)}
          read={readPasses}
          onChange={(conditionPasses) => {
            saveSetup({ conditionPasses });
          }}
        />
      </Box>
      {lots.length > 1 && (
        <Flex gap={4} wrap="wrap" marginBottom={4} role="group" aria-label="Blocks it comes from">
          {lots.map((l, i) => (
            <Word
              key={i}
              aria-pressed={l === lot}
              fontWeight={l === lot ? 700 : undefined}
              onClick={() => {
                set('lot', String(i));
              }}
            >
              {showMass(l.grams, units)} {lotName(l)}
            </Word>
          ))}
        </Flex>
      )}
      {typeof plan === 'string' ? (
        <Warning>{plan}</Warning>
      ) : (
        <>
          <Flex as="ol" wrap="wrap" gap={5} aria-label="What to do" alignItems="stretch">
            {plan.steps.map((s, i) => {
              const { title, line: what, about, figure, of } = conditionWords(s, units);
              return (
                <Flex as="li" key={i} direction="column" width="196px" gap={2}>
                  <Flex height="92px" alignItems="flex-end">
                    <StepPicture step={s} hex={clay.rawHex} />
                  </Flex>
                  <Box borderTop="rule" paddingTop={2}>
                    <b>
                      {i + 1} {title}
                    </b>
                    {about !== undefined && (
                      <Box fontSize="figure" fontWeight={700} lineHeight={1.2}>
                        {plan.because.from === 0 && !plan.because.own ? '~' : ''}
                        {about} ×
                      </Box>
                    )}
                    {about === undefined && figure !== undefined && (
                      <Box fontSize="figure" fontWeight={700} lineHeight={1.2}>
                        {figure} <Second>{of}</Second>
                      </Box>
                    )}
                  </Box>
                  <Box fontSize="small" lineHeight={1.4}>
                    {what}
                  </Box>
                </Flex>
              );
            })}
          </Flex>
          <Grid gap={2} marginTop={5} maxWidth="680px">
            <Second>
              {becauseWords(plan, line?.name ?? 'this line')}
              {plan.because.from === 0 ? ' Write down what it really took: the next plan goes by that.' : ''}
            </Second>
            {plan.warnings.map((w) => (
              <Warning key={w}>{WARNING_WORDS[w]}</Warning>
            ))}
          </Grid>
          <Box fontWeight={600} marginTop={5}>
            <Link to={`/sheets/condition/make?${query.toString()}`}>To the bench: condition it</Link> <Key>B</Key>
          </Box>
        </>
      )}
    </Box>
  );
}

/** Which block a part of the clay comes from. */
function lotName({ months, bought }: Lot): string {
  if (bought) return 'of new clay, to be bought';
  return months === null ? 'of the block without a date' : `of the block that is ${showAge(months)} old`;
}

const readCounted = readCount(2, 200, 'The number of passes');
/** A number of passes, or nothing for the usual one. @throws Complaint `parts/unreadable`, `count/range` */
const readPasses = (text: string): number | null => (/^\s*(not said)?\s*$/.test(text) ? null : readCounted(text));

/** The clay at a step: a block, slices, a folded sheet, a rope. */
function StepPicture({ step, hex }: { readonly step: ConditionStep; readonly hex: string }): ReactElement {
  const fill = `#${hex}`;
  const line = { stroke: '#141414', fill: 'none' } as const;
  switch (step.kind) {
    case 'slice':
      return (
        <svg width="140" height="70" aria-hidden>
          {[0, 1, 2, 3, 4].map((i) => (
            <rect
              key={i}
              x={i * 26}
              y={70 - 56}
              width={Math.max(3, Math.min(18, step.mm * 5))}
              height="56"
              fill={fill}
            />
          ))}
        </svg>
      );
    case 'press':
      return (
        <svg width="140" height="70" aria-hidden>
          <rect y="54" width="128" height="16" fill={fill} />
        </svg>
      );
    case 'step up':
      return (
        <svg width="140" height="70" aria-hidden>
          {[0, 1, 2, 3].map((i) => (
            <rect key={i} x={i * 34} y={70 - 4 - i * 5} width="28" height={4 + i * 5} fill={fill} />
          ))}
        </svg>
      );
    case 'pass':
      return step.fold === 'sides to the middle' ? (
        <svg width="140" height="70" aria-hidden>
          <rect y="58" width="132" height="12" fill={fill} />
          <rect y="44" width="62" height="12" fill={fill} />
          <rect x="70" y="44" width="62" height="12" fill={fill} />
          <path {...line} d="M6 38Q20 10 58 34M126 38Q112 10 74 34" />
        </svg>
      ) : (
        <svg width="140" height="70" aria-hidden>
          <path d="M132 40H30A14 14 0 0 0 30 68H132V56H30A2 2 0 0 1 30 52H132Z" fill={fill} />
          <path {...line} d="M30 26H4M12 20L4 26L12 32" />
        </svg>
      );
    case 'knead':
      return (
        <svg width="140" height="70" aria-hidden>
          <rect x="2" y="50" width="132" height="20" rx="10" fill={fill} />
          <path {...line} d="M30 40Q68 6 106 40" />
        </svg>
      );
    case 'try fold':
      return (
        <svg width="140" height="70" aria-hidden>
          <path d="M132 44H40A12 12 0 0 0 40 68H132V57H42A1 1 0 0 1 42 55H132Z" fill={fill} />
        </svg>
      );
    default:
      return (
        <svg width="140" height="70" aria-hidden>
          <rect
            x="0"
            y={step.kind === 'knock' ? 40 : 14}
            width={step.kind === 'knock' ? 116 : 70}
            height={step.kind === 'knock' ? 30 : 56}
            fill={fill}
          />
        </svg>
      );
  }
}

interface DoneProps {
  readonly shelf: ShelfAnswer;
  readonly dto: Omit<ConditionedDto, 'entryId' | 'madeOn' | 'note' | 'passes'> & { readonly school: Conditioner };
  readonly counted: number;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

function Done({ shelf, dto, counted, onBack, onDone }: DoneProps): ReactElement {
  const units = useUnits();
  const [passes, setPasses] = useState(counted);
  const refusal = useRefusal('/api/conditioned');
  const write = async (madeOn: string, note: string): Promise<void> => {
    const answer = await change<{ entryId: string }>('POST', '/api/conditioned', {
      ...dto,
      passes,
      entryId: crypto.randomUUID(),
      madeOn,
      note,
    } satisfies ConditionedDto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(madeOn, note) => {
        void write(madeOn, note);
      }}
      disabled={passes < 1}
    >
      <Box fontSize="22px">
        {showMass(dto.grams, units)} {shelf.clays.find((c) => c.id === dto.clayId)?.name}
        {' folded without a crack after '}
        <CountValue
          label="Passes it took"
          value={passes}
          onChange={(n) => {
            if (Number.isInteger(n) && n > 0 && n <= 200) setPasses(n);
          }}
        />{' '}
        passes. The next plan goes by that; the clay stays on the shelf until you use it.
      </Box>
    </WriteDown>
  );
}
