import { Box } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { DULL, tiltedBeyond, type EvenAfter } from '#core/mica';
import { thicknesses } from '#core/sheet';
import { showLength, showMass } from '#core/units';
import type { MachinesAnswer } from '#contract';
import { benchMachine } from '../../../state/bench.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import { evenIn, evenWords } from '../stageWords.js';
import { usePatternOf, usePatterns } from '../../../wire/queries.js';
import type { ReliefClay } from './reliefClay.js';
import { contrastsAt, type ReliefPlan, type WorkedRelief } from './reliefPlan.js';

interface StripProps {
  readonly plan: ReliefPlan;
  readonly worked: WorkedRelief;
  readonly sheet: ReliefClay;
  readonly machines: MachinesAnswer;
  readonly change: (part: Partial<ReliefPlan>) => void;
  /** keeps it as a patterned sheet */
  readonly make: (worked: WorkedRelief) => Promise<void>;
}

/** Degrees from which on a flake is clearly seen to be tilted. */
const CLEARLY = 20;

/** The paper strip: clay, how clearly it is seen, what rolling takes, and how it is done. */
export function ReliefStrip(props: StripProps): ReactElement {
  return (
    <Strip aria-label="Clay and how clearly it is seen">
      <Clay {...props} />
      <Rule />
      <Seen {...props} />
      <Settings {...props} />
      <Rule />
      <Order {...props} />
    </Strip>
  );
}

function Clay({ worked, sheet }: StripProps): ReactElement {
  const units = useUnits();
  return (
    <div>
      <Box as="h2">Clay to roll</Box>
      <Box>
        <b>{sheet.name}</b> {showMass(worked.grams, units)}
      </Box>
      <Second display="block">
        {showMass(worked.gramsShaved, units)} shaved off, of one colour still: back to its tub;{' '}
        {showMass(worked.grams - worked.gramsShaved, units)} stay, {showLength(worked.shaved.thick, units, true)} thick
      </Second>
    </div>
  );
}

function Seen({ plan, worked: { before, after, shown } }: StripProps): ReactElement {
  const tilted = Math.round(100 * tiltedBeyond(shown, CLEARLY));
  return (
    <div>
      <Box as="h2">How clearly it is seen</Box>
      <Box>
        ΔE <b>{before.toFixed(1)}</b> {plan.to === null ? 'as it is shaved' : `shaved, ${after.toFixed(1)} rolled`}
      </Box>
      <Second display="block">
        between flat places and the darkest fiftieth, under a lamp above; {tilted} % of it is tilted more than {CLEARLY}
        °; edges of flakes are taken to be darker than their faces (~ assumed)
      </Second>
      {after < DULL && <Box fontWeight={600}>It is dull: hardly seen at arm’s length.</Box>}
    </div>
  );
}

/** What each setting of one's own machine leaves; a click rolls to it. */
function Settings({ plan, worked, sheet, machines, change }: StripProps): ReactElement {
  const { colours } = sheet;
  const units = useUnits();
  const machine = benchMachine(machines);
  const { thick } = worked.shaved;
  const settings = useMemo(() => (machine ? thicknesses(machine).filter((s) => s.mm < thick) : []), [machine, thick]);
  const left = useMemo(
    () =>
      contrastsAt(
        worked,
        settings.map((s) => s.mm),
        plan.way,
        colours,
      ),
    [worked, settings, plan.way, colours],
  );
  if (!machine) return <Caption>Describe your machine at the sheets: then it is told what each setting takes.</Caption>;
  if (settings.length === 0) return <Caption>No setting of {machine.name} is thinner than it is.</Caption>;
  return (
    <Box as="table" fontSize="small" width="100%" aria-label="What each setting leaves">
      <caption style={{ textAlign: 'left' }}>What each of your settings leaves of it:</caption>
      <tbody>
        {settings.map((setting, i) => (
          <tr key={setting.label}>
            <td>
              <Word
                fontSize="small"
                aria-label={`Roll to ${setting.label}`}
                onClick={() => {
                  change({ to: setting.mm, way: 'by machine' });
                }}
              >
                {setting.label}
              </Word>
            </td>
            <td>{showLength(setting.mm, units, true)}</td>
            <td style={{ textAlign: 'right' }}>ΔE {(left[i] ?? 0).toFixed(1)}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** Passes until a sheen is even: each patterned sheet is told what was counted at all of them. */
function useEvenAfter(): EvenAfter {
  const first = usePatterns().data?.[0];
  return evenIn(usePatternOf(first?.id).data?.stops ?? []);
}

function Order({ plan, worked, make }: StripProps): ReactElement {
  const even = useEvenAfter();
  const units = useUnits();
  const fine = (mm: number): string => showLength(mm, units, true);
  const steps = [
    `Pass it about ${even.passes} times on your thinnest (${evenWords(even)}), until the sheen is even.`,
    `Roll it to ${fine(plan.thick)}. Wet the stamp; lay the sheet on it, best side down.`,
    'Press with your fingers first, then with the roller. Dry both.',
    `Shave in shallow cuts, down to ${fine(worked.blade)}: first what stands highest.`,
    ...(plan.to === null
      ? []
      : [`Roll it ${plan.way === 'by hand' ? 'by hand, both ways,' : 'through the machine'} to ${fine(plan.to)}.`]),
  ];
  return (
    <div>
      <Box as="h2">Order</Box>
      <Box as="ol" paddingLeft={4} fontSize="small" css={{ listStyle: 'decimal' }}>
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </Box>
      <Action marginTop={3} onClick={() => void make(worked)}>
        Keep it as a patterned sheet
      </Action>
      <Second display="block">From there it goes to the bench, into stock, and is cut.</Second>
    </div>
  );
}
