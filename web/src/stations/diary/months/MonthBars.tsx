import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { grey } from '../../../theme/grey.js';
import { Caption } from '../../../theme/pieces.js';
import type { Month } from './months.js';

interface MonthBarsProps {
  readonly title: string;
  readonly months: readonly Month[];
  readonly of: (month: Month) => number;
  readonly show: (value: number) => string;
}

/** px */
const [HIGH, WORDS] = [150, 64];

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** `2026-11` as `Nov`, and a January with its year. */
const tick = (month: string): string => {
  const [year = '', number = ''] = month.split('-');
  return number === '01' ? year : (MONTHS[Number(number) - 1] ?? month);
};

/** One figure of every month as bars, with its sum. */
export function MonthBars({ title, months, of, show }: MonthBarsProps): ReactElement {
  const rows = months.map((month) => ({ month: month.month, value: of(month) }));
  const sum = rows.reduce((all, { value }) => all + value, 0);
  return (
    <Box as="section" aria-label={title} minWidth={0}>
      <h2>{title}</h2>
      <Caption>{sum === 0 ? 'none yet' : `${show(sum)} in all`}</Caption>
      {sum > 0 && (
        <ResponsiveContainer width="100%" height={HIGH}>
          <BarChart data={rows} margin={{ top: 10, right: 0, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <XAxis dataKey="month" tickFormatter={tick} stroke={grey.ink} fontSize={12} tickLine={false} />
            <YAxis width={WORDS} stroke={grey.ink} fontSize={12} tickFormatter={show} tickLine={false} tickCount={4} />
            <Bar dataKey="value" fill={grey.ink} maxBarSize={34} isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      )}
    </Box>
  );
}
