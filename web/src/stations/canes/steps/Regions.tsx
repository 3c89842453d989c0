import { massOf } from '#core/clay';
import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import type { Fill, Region } from '#core/cane';
import { ASSUMED_DENSITY } from '#core/clay';
import { showLength, showMass } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { useUnits } from '../../../state/view.js';
import { Second, Word } from '../../../theme/pieces.js';
import { FillWords } from './FillWords.js';
import {
  asGround,
  clayArea,
  firstFill,
  groupName,
  groupsOf,
  isGround,
  keyIn,
  kindIn,
  refilled,
  without,
  type Template,
} from './templateMoves.js';
import type { EditorProps } from './view.js';

type Own = Pick<EditorProps<Template>, 'step' | 'materials' | 'blends' | 'canes' | 'onOpen'>;

const KINDS = [
  { value: 'of', text: 'one colour' },
  { value: 'blend', text: 'a blend' },
  { value: 'cane', text: 'a cane' },
] as const;

/** Areas below this many mm² are shown with a decimal. */
const SMALL = 10;

interface GroupProps extends Own {
  readonly group: readonly Region[];
  readonly fill: Fill;
  readonly onFill: (fill: Fill) => void;
  readonly onOut: () => void;
  readonly onGround: () => void;
}

/** How much clay some regions are. */
function GroupSize({ group, fill, step, materials }: GroupProps): ReactElement {
  const units = useUnits();
  const area = clayArea(step, group);
  const density = materials.get(keyIn(fill))?.density ?? ASSUMED_DENSITY;
  return (
    <Second>
      {area.toFixed(area < SMALL ? 1 : 0)} mm², {showMass(massOf(area * step.length, density), units)} in{' '}
      {showLength(step.length, units)}
    </Second>
  );
}

/** Regions that are filled alike: with what, and how much clay that is. */
function Group(props: GroupProps): ReactElement {
  const { group, fill, materials, blends, canes, step, onOpen, onFill, onOut, onGround } = props;
  const kind = kindIn(fill);
  const name = group[0]?.name ?? '';
  const there = { of: 1, blend: blends.length, cane: canes.length };
  const options = KINDS.filter(({ value }) => value === kind || there[value] > 0);
  const ground = isGround(step, group);
  const at = step.regions.filter((r) => 'cane' in r.fill).findIndex((r) => group.includes(r));
  return (
    <Box fontSize="small" lineHeight={1.5}>
      <b>{groupName(group, ground)}</b>:{' '}
      <Choice
        label={`What fills ${name}`}
        value={kind}
        options={options}
        onChange={(next) => {
          const first = firstFill(next, materials.keys(), blends, canes);
          if (first) onFill(first);
        }}
      />{' '}
      <FillWords
        fill={fill}
        name={name}
        materials={materials}
        canes={canes}
        onFill={onFill}
        onOpen={() => {
          onOpen(at);
        }}
      />
      {!ground && (
        <>
          {' '}
          ·{' '}
          {group.length === 1 && (
            <>
              <Word aria-label={`Make ${name} the ground`} onClick={onGround}>
                as ground
              </Word>{' '}
              ·{' '}
            </>
          )}
          <Word aria-label={`Take ${name} out`} onClick={onOut}>
            out
          </Word>
        </>
      )}{' '}
      <GroupSize {...props} />
    </Box>
  );
}

interface RegionsProps extends Own {
  /** each region by itself, also where some are filled alike */
  readonly each: boolean;
  readonly onChange: (step: Template) => void;
}

/** The regions of a template and what fills them. */
export function Regions({ each, onChange, ...own }: RegionsProps): ReactElement {
  const { step } = own;
  const groups = useMemo(() => groupsOf(step.regions, each), [step.regions, each]);
  return (
    <Flex
      as="ul"
      direction="column"
      gap={2}
      marginTop={2}
      aria-label="Regions"
      maxHeight="250px"
      overflowY="auto"
      tabIndex={0}
    >
      {groups.map((group) => (
        <li key={group.map((r) => r.id).join()}>
          {group[0] && (
            <Group
              {...own}
              group={group}
              fill={group[0].fill}
              onFill={(fill) => {
                onChange(refilled(step, group, fill));
              }}
              onOut={() => {
                onChange(without(step, group));
              }}
              onGround={() => {
                if (group[0]) onChange(asGround(step, group[0]));
              }}
            />
          )}
        </li>
      ))}
    </Flex>
  );
}
