import { cutsOf } from './planMoves.js';
import { asName } from '../../parts/names.js';
import { sameMaterial } from '#core/material';
import { Box } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { fadeOf, marry, type Layout } from '#core/blend';
import { deltaE, type Lab } from '#core/colour';
import { orSentence } from '#core/units';
import type { BlendAnswer, BlendDto, MachineDto, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Action, Second } from '../../theme/pieces.js';
import { useBlendOf, useBlends } from '../../wire/queries.js';
import { change } from '../../wire/save.js';
import { FadeStrip } from './FadeStrip.js';
import { useBlend } from './useBlend.js';
import { layoutIn, type WorkedBlend } from './workedBlend.js';

interface MarryProps {
  readonly blend: BlendAnswer;
  readonly shelf: ShelfAnswer;
  readonly own: MachineDto | undefined;
}

/** The end of this blend to the start of another: half a colour wheel, or a whole one. */
export function Marry({ blend, shelf, own }: MarryProps): ReactElement | null {
  const blends = useBlends();
  const others = (blends.data ?? []).filter((b) => b.id !== blend.id && !b.retired);
  const [otherId, setOther] = useState<string | null>(null);
  const chosen = others.find((b) => b.id === otherId) ?? others[0];
  const other = useBlendOf(chosen?.id);
  if (others.length === 0) return null;
  return (
    <Box minWidth={0}>
      <Box as="h2" marginBottom={2}>
        Marry it to{' '}
        <Choice
          label="The other blend"
          value={chosen?.id ?? ''}
          options={others.map((b) => ({ value: b.id, text: b.name }))}
          onChange={setOther}
        />
      </Box>
      {other.data && <Married key={other.data.id} one={blend} other={other.data} shelf={shelf} own={own} />}
    </Box>
  );
}

interface MarriedProps {
  readonly one: BlendAnswer;
  readonly other: BlendAnswer;
  readonly shelf: ShelfAnswer;
  readonly own: MachineDto | undefined;
}

/** The two as one blend. @param same both have one colour at the joint */
const marriedDto = ({ one, other }: Pick<MarriedProps, 'one' | 'other'>, made: Layout, same: boolean): BlendDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name: asName(`${one.name} and ${other.name}`),
  note: '',
  retired: false,
  plan: {
    ...one.plan,
    width: made.width,
    height: made.height,
    kind: 'free',
    placed: null,
    colours: [...one.plan.colours, ...other.plan.colours.slice(same ? 1 : 0)],
    cuts: cutsOf(made),
  },
});

/** Below this the ends of the two are one colour to the eye, ΔE00. */
const CLOSES = 1;

interface JointProps {
  readonly a: WorkedBlend;
  readonly b: WorkedBlend;
  readonly same: boolean;
  readonly overlap: number;
  readonly onOverlap: (mm: number) => void;
}

/** How the joint shows, and whether the wheel closes. */
function Joint({ a, b, same, overlap, onOverlap }: JointProps): ReactElement {
  const joint = deltaE(a.fade.labs.at(-1) as Lab, b.fade.labs[0] as Lab);
  const closes = deltaE(b.fade.labs.at(-1) as Lab, a.fade.labs[0] as Lab);
  return (
    <Box fontSize="small" marginTop={1}>
      {same ? (
        `Both have ${a.colours.at(-1)?.name ?? ''} at the joint: it does not show.`
      ) : (
        <>
          Over <LengthValue label="Width of the joint" value={overlap} onChange={onOverlap} /> a slanting cut{' '}
          {`takes ${a.colours.at(-1)?.name ?? ''} into ${b.colours[0]?.name ?? ''}, ΔE ${joint.toFixed(1)}.`}
        </>
      )}{' '}
      {closes < CLOSES ? (
        'The wheel closes.'
      ) : (
        <Second>From the last end back to the first it is ΔE {closes.toFixed(1)}.</Second>
      )}
    </Box>
  );
}

function Married({ one, other, shelf, own }: MarriedProps): ReactElement {
  const navigate = useNavigate();
  const [overlap, setOverlap] = useState(10);
  const [a, b] = [useBlend(one, shelf, own, null), useBlend(other, shelf, own, null)];
  const [last, first] = [one.plan.colours.at(-1), other.plan.colours[0]];
  const same = last !== undefined && first !== undefined && sameMaterial(last, first);
  const made = useMemo(
    (): Layout | string => orSentence(() => marry(layoutIn(one.plan), layoutIn(other.plan), same, overlap)),
    [one.plan, other.plan, same, overlap],
  );
  if (typeof a === 'string' || typeof b === 'string') return <span />;
  const pigments = [...a.colours, ...b.colours.slice(same ? 1 : 0)].map((c) => c.pigment);
  const keep = async (layout: Layout): Promise<void> => {
    const dto = marriedDto({ one, other }, layout, same);
    if (await change('PUT', `/api/blends/${dto.id}`, dto)) void navigate(`/blends/${dto.id}`);
  };
  return (
    <>
      {typeof made === 'string' ? (
        <Warning>{made}</Warning>
      ) : (
        <FadeStrip labs={fadeOf(made, pigments).labs} width="100%" height={26} label="The two blends married" />
      )}
      <Joint a={a} b={b} same={same} overlap={overlap} onOverlap={setOverlap} />
      <Action
        marginTop={2}
        disabled={typeof made === 'string'}
        onClick={() => {
          if (typeof made !== 'string') void keep(made);
        }}
      >
        Plan them as one blend
      </Action>
    </>
  );
}
