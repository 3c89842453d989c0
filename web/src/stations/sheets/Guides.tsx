import type { ReactElement } from 'react';
import { USUAL_GUIDES } from '#core/sheet';
import { readLength, showLength } from '#core/units';
import type { BenchSetupDto } from '#contract';
import { Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { change } from '../../wire/save.js';

/** Which pairs of guides somebody has for the hand roller. */
export function Guides({ setup }: { readonly setup: BenchSetupDto }): ReactElement {
  const units = useUnits();
  const own = setup.guides ?? USUAL_GUIDES;
  return (
    <span>
      roller guides {setup.guides == null ? '~' : ''}
      <Value
        label="Thicknesses of your roller guides"
        text={own.map((mm) => showLength(mm, units, units === 'imperial').replace(/ (mm|in)$/, '')).join(' · ')}
        read={(text) =>
          text
            .split(/[·;,]\s+|\s*·\s*|\s+/)
            .filter((t) => t !== '' && t !== 'mm' && t !== 'in')
            .map((t) => readLength(t, units))
        }
        onChange={(guides) => {
          void change('PUT', '/api/bench', { ...setup, guides });
        }}
      />{' '}
      {units === 'metric' ? 'mm' : 'in'}
    </span>
  );
}
