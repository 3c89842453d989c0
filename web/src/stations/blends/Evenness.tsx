import { Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { memo, type ReactElement } from 'react';
import type { Fade } from '#core/blend';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';

/** How fast the colour changes along the fade: as cut, and with the compensated cut. */
export const Evenness = memo(function Evenness({
  fade,
  other,
}: {
  readonly fade: Fade;
  readonly other: Fade | null;
}): ReactElement {
  const units = useUnits();
  const step = fade.width / fade.change.length;
  // every second place is enough for a line
  const rows = fade.change.flatMap((c, i) =>
    i % 2 === 0 ? [{ x: (i + 0.5) * step, cut: c, even: other?.change[i] ?? null }] : [],
  );
  return (
    <ResponsiveContainer width="100%" height={92}>
      <LineChart data={rows} margin={{ top: 6, right: 0, bottom: 0, left: 0 }} accessibilityLayer={false}>
        <XAxis dataKey="x" type="number" domain={[0, fade.width]} hide />
        <YAxis hide domain={[0, 'dataMax']} />
        <ReferenceLine y={0} stroke={grey.hairline} />
        <ReferenceLine
          x={fade.perceivedMiddle}
          stroke={grey.ink}
          label={{
            value: `middle to the eye, ${showLength(fade.perceivedMiddle, units)}`,
            position: fade.perceivedMiddle > fade.width / 2 ? 'insideTopRight' : 'insideTopLeft',
            fontSize: 12,
            fill: grey.ink,
          }}
        />
        <Line type="monotone" dataKey="cut" stroke={grey.ink} strokeWidth={2} dot={false} isAnimationActive={false} />
        {other && (
          <Line
            type="monotone"
            dataKey="even"
            stroke={grey.ink}
            strokeWidth={1}
            strokeDasharray="4 4"
            dot={false}
            isAnimationActive={false}
          />
        )}
      </LineChart>
    </ResponsiveContainer>
  );
});
