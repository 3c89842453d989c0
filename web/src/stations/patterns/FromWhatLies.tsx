import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_BLOCK_GRAMS, massOf, readAmount } from '#core/clay';
import { mostOf } from '#core/pattern';
import { showArea, showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Value } from '../../parts/Value.js';
import { leftOf } from '../../state/shelf.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import type { PatternToMake } from '../../workers/pattern.js';
import type { CaneMaterial } from '../canes/clay/materials.js';

interface Props {
  readonly plan: PatternToMake;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly shelf: ShelfAnswer;
}

/** g of a material that the shelf has clay for. */
function onShelf({ shares }: CaneMaterial, shelf: ShelfAnswer): number {
  return Math.min(...shares.map(({ clayId, mass }) => leftOf(shelf, clayId) / mass));
}

/** From grams, or from what lies there, to the sheet: which of them runs out first, and what is left. */
function Having({ plan, materials, shelf }: Props): ReactElement {
  const units = useUnits();
  const [said, setSaid] = useState<Readonly<Record<string, number>>>({});
  const needs = plan.taken.flatMap(([key, volume]) => {
    const material = materials.get(key);
    return material ? [{ key, material, grams: massOf(volume, material.density) }] : [];
  });
  const had = (key: string, material: CaneMaterial): number => said[key] ?? onShelf(material, shelf);
  const { factor, runsOut } = mostOf(
    new Map(needs.map((n) => [n.key, n.grams])),
    new Map(needs.map((n) => [n.key, had(n.key, n.material)])),
  );
  const left = needs.map(
    (n) => `${n.material.name} ${showMass(Math.max(0, had(n.key, n.material) - factor * n.grams), units)}`,
  );
  return (
    <Box fontSize="small" lineHeight={1.7}>
      <Box as="ul" aria-label="What I have">
        {needs.map(({ key, material }) => (
          <Box as="li" key={key} display="flex" justifyContent="space-between">
            <span>{material.name}</span>
            <Value
              label={`Grams of ${material.name} that I have`}
              measures="mass"
              text={showMass(had(key, material), units)}
              read={(text) => readAmount(text, units, ASSUMED_BLOCK_GRAMS)}
              onChange={(grams) => {
                setSaid({ ...said, [key]: grams });
              }}
            />
          </Box>
        ))}
      </Box>
      <b>{showArea(plan.area * factor, units)}</b> of sheet come of that, {factor.toFixed(2)} times the plan;{' '}
      {materials.get(runsOut)?.name ?? 'nothing'} runs out first.
      <Caption display="block">left then: {left.join(', ')}</Caption>
    </Box>
  );
}

/** The plan forwards, where it is asked for. */
export function FromWhatLies(props: Props): ReactElement {
  const [shown, setShown] = useState(false);
  return (
    <Box>
      <Word
        fontSize="small"
        aria-expanded={shown}
        onClick={() => {
          setShown(!shown);
        }}
      >
        {shown ? 'from what is wanted' : 'from what I have'}
      </Word>
      {shown && <Having {...props} />}
    </Box>
  );
}
