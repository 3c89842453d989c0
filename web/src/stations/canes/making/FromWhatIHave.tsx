import { Box } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { ASSUMED_BLOCK_GRAMS, readAmount } from '#core/clay';
import type { CaneAnswer, CaneDto, ShelfAnswer } from '#contract';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Word } from '../../../theme/pieces.js';
import { useSheets } from '../../../wire/queries.js';
import { useMost, type WorkedCane } from '../../../workers/cane.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';
import { volumesToRoll } from '../words/caneWords.js';
import { NOTHING_SAID, gramsHad, haveOf, mostWords, shownGrams } from '../words/haveWords.js';
import { useThere } from './MadeThing.js';

interface HaveProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly plan: PlainPlan;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly shelf: ShelfAnswer;
  readonly onChange: (part: Partial<CaneDto>) => void;
}

interface AmountProps {
  readonly label: string;
  readonly grams: number | null;
  readonly placeholder?: string;
  readonly onGrams: (grams: number | null) => void;
}

/** A weight; left empty: there is enough of it. */
function Amount({ label, grams, placeholder = 'enough', onGrams }: AmountProps): ReactElement {
  const units = useUnits();
  return (
    <Value
      label={label}
      measures="mass"
      text={shownGrams(grams, units)}
      placeholder={placeholder}
      read={(text) => (text.trim() === '' ? null : readAmount(text, units, ASSUMED_BLOCK_GRAMS))}
      onChange={onGrams}
    />
  );
}

/** What one has of each material, and the slices that gives. */
function useHave({ worked, cane, plan, materials, shelf }: HaveProps) {
  const [said, setSaid] = useState(NOTHING_SAID);
  const there = useThere();
  const needed = useMemo(() => volumesToRoll(plan, there), [plan, there]);
  const have = useMemo(() => haveOf(needed, said, materials, shelf, there), [needed, said, materials, shelf, there]);
  return { said, setSaid, needed, ...useMost(worked, cane.sliceMm, have) };
}

/** From grams, or from what lies there, to slices: all lengths follow. */
function Having(props: HaveProps): ReactElement {
  const { cane, materials, shelf, onChange } = props;
  const units = useUnits();
  const sheets = useSheets();
  const { said, setSaid, needed, most, wrong } = useHave(props);
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  const made = (id: string): string => sheets.data?.find((s) => s.id === id)?.name ?? 'what lay ready';
  return (
    <Box fontSize="small" lineHeight={1.7}>
      <Box as="ul" aria-label="What I have">
        {needed.map(([key]) => (
          <Box as="li" key={key} display="flex" justifyContent="space-between">
            <span>{names(key)}</span>
            <Amount
              label={`Grams of ${names(key)} that I have`}
              grams={gramsHad(key, said, shelf)}
              onGrams={(grams) => {
                setSaid({ ...said, of: { ...said.of, [key]: grams } });
              }}
            />
          </Box>
        ))}
        <Box as="li" display="flex" justifyContent="space-between">
          <span>of each</span>
          <Amount
            label="Grams of each that I have"
            grams={null}
            placeholder="half a block"
            onGrams={(grams) => {
              setSaid({ ...said, of: Object.fromEntries(needed.map(([key]) => [key, grams])) });
            }}
          />
        </Box>
        <Box as="li" display="flex" justifyContent="space-between">
          <span>in all</span>
          <Amount
            label="Grams in all that I have"
            grams={said.all}
            onGrams={(all) => {
              setSaid({ ...said, all });
            }}
          />
        </Box>
      </Box>
      {wrong !== null && <Warning>{wrong}</Warning>}
      {most && <Box role="status">{mostWords(most, cane.sliceMm, names, made, units)}</Box>}
      {most && most.slices > 0 && most.slices !== cane.slices && (
        <Action
          onClick={() => {
            onChange({ slices: most.slices });
          }}
        >
          Make {most.slices}
        </Action>
      )}
    </Box>
  );
}

/** Beginning from what there is instead of from slices that are wanted. */
export function FromWhatIHave(props: HaveProps): ReactElement {
  const [open, setOpen] = useState(false);
  return (
    <Box marginTop={3}>
      <Word
        fontSize="small"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
        }}
      >
        From what I have
      </Word>
      {!open && <Caption> how many slices that gives</Caption>}
      {open && <Having {...props} />}
    </Box>
  );
}
