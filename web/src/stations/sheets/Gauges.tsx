import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BenchSetupDto, GaugeDto } from '#contract';
import { LengthValue, TextValue } from '../../parts/Value.js';
import { Word } from '../../theme/pieces.js';
import { change } from '../../wire/save.js';

/** mm: how sure calipers are of a card or a coin, and how thick a new one is taken to be until it is measured. */
const [SURE, NEW] = [0.02, 1];

/** Other things of one's own that thicknesses are measured with, each by its name. */
export function GaugeList({ setup }: { readonly setup: BenchSetupDto }): ReactElement {
  const gauges = setup.gauges ?? [];
  const save = (next: readonly GaugeDto[]): void => {
    void change('PUT', '/api/bench', { ...setup, gauges: [...next] });
  };
  const set = (at: number, part: Partial<GaugeDto>): void => {
    save(gauges.map((g, i) => (i === at ? { ...g, ...part } : g)));
  };
  const free = (): string => {
    let name = 'packet card';
    for (let n = 2; gauges.some((g) => g.name.toLowerCase() === name); n++) name = `packet card ${n}`;
    return name;
  };
  return (
    <Box as="ul" fontSize="small" aria-label="Other things you measure with">
      {gauges.map((g, i) => (
        <li key={i}>
          a{' '}
          <TextValue
            label={`Name of thing ${i + 1} to measure with`}
            value={g.name}
            onChange={(name) => {
              set(i, { name });
            }}
          />{' '}
          is{' '}
          <LengthValue
            label={`Thickness of ${g.name}`}
            fine
            value={g.mm}
            onChange={(mm) => {
              set(i, { mm, sigmaMm: SURE });
            }}
          />{' '}
          thick ·{' '}
          <Word
            aria-label={`Take ${g.name} out`}
            onClick={() => {
              save(gauges.filter((_, k) => k !== i));
            }}
          >
            out
          </Word>
        </li>
      ))}
      <li>
        <Word
          onClick={() => {
            save([...gauges, { name: free(), mm: NEW, sigmaMm: SURE }]);
          }}
        >
          another thing you measure with
        </Word>
      </li>
    </Box>
  );
}
