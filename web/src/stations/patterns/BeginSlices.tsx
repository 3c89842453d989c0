import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { StartColours } from '#core/cane';
import { keyOf } from '#core/material';
import type { PatternStep } from '#core/pattern';
import type { CaneCard } from '#contract';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Caption, Second, Word } from '../../theme/pieces.js';
import { useCanes } from '../../wire/queries.js';
import { newStep } from './steps/index.js';

interface BeginSlicesProps {
  readonly colours: StartColours;
  readonly onBegin: (name: string, steps: readonly PatternStep[]) => void;
}

/** A sheet that slices are rolled into at first: as thick as they are. */
const sheetFor = (of: string): PatternStep => ({
  ...{ id: crypto.randomUUID(), do: 'stack', width: 120, height: 80 },
  layers: [{ of, thickness: 1.5 }],
});

/** The cane that was asked for, or else the newest. */
function caneFor(canes: readonly CaneCard[], asked: string | null): CaneCard | undefined {
  const current = canes.filter((c) => !c.retired);
  return current.find((c) => c.revisionId === asked) ?? current.at(-1);
}

/** Slices of a cane laid into a sheet: edge to edge, or on a ground. */
export function BeginSlices({ colours, onBegin }: BeginSlicesProps): ReactElement {
  const canes = useCanes().data;
  const [asked, setAsked] = useSearchParams();
  const [picking, setPicking] = useState(false);
  const card = caneFor(canes ?? [], asked.get('slices'));
  if (!card)
    return (
      <Box marginTop={3}>
        <Second>
          Slices of a cane laid into a sheet: <Link to="/canes">plan a cane first</Link>.
        </Second>
      </Box>
    );
  const clay = { ...colours, cane: keyOf({ kind: 'cane', id: card.revisionId }) };
  return (
    <Box marginTop={3} role="group" aria-label="Slices of a cane">
      Slices of{' '}
      <Word
        aria-label={`Cane that slices are cut of: ${card.name}`}
        onClick={() => {
          setPicking(true);
        }}
      >
        {card.name}
      </Word>
      :{' '}
      <Word
        fontWeight={700}
        onClick={() => {
          onBegin(`${card.name}, slab`, [newStep('slab', null, clay)]);
        }}
      >
        edge to edge
      </Word>{' '}
      or{' '}
      <Word
        fontWeight={700}
        onClick={() => {
          onBegin(`${card.name}, laid on`, [sheetFor(colours.light), newStep('inlay', null, clay)]);
        }}
      >
        laid on a sheet
      </Word>
      <Caption display="block">Each becomes as large as its clay makes it when it is rolled.</Caption>
      {picking && (
        <MaterialPicker
          place="slices"
          label="Cane that slices are cut of"
          onPick={({ of }) => {
            setPicking(false);
            setAsked({ slices: of.id }, { replace: true });
          }}
          onCancel={() => {
            setPicking(false);
          }}
        />
      )}
    </Box>
  );
}
