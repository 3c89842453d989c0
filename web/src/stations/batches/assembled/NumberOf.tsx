import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { numberOf, type Size, type Value as PartValue } from '#core/piece';
import { Fraction, readLength, readNumber, showLength, showNumber, type UnitSystem } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { Value } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { follow, followed, following, type NumberField } from './partFields.js';

interface NumberProps {
  readonly field: NumberField;
  /** of which part, for those who do not see it */
  readonly of: string;
  readonly value: PartValue;
  readonly sizes: readonly Size[];
  readonly onChange: (value: PartValue) => void;
}

const NONE = 'none';
const rounded = (value: number): number => Math.round(value * 1000) / 1000;
/** @throws Complaint of what is no number */
const plainNumber = (text: string): number => {
  const typed = text.replace(/°|times|×/g, '').trim();
  const value = readNumber(typed.replace(/^[-−]/, '')).valueOf();
  return /^[-−]/.test(typed) ? -value : value;
};

/** A length that may lie the other way, or be none. @throws Complaint of what is no length */
function signedLength(text: string, units: UnitSystem): number {
  const typed = text.trim();
  if (/^0(\s*(mm|in))?$/.test(typed)) return 0;
  const length = readLength(typed.replace(/^[-−]/, ''), units);
  return /^[-−]/.test(typed) ? -length : length;
}
const shownLength = (mm: number, units: UnitSystem): string =>
  `${mm < 0 ? '−' : ''}${showLength(Math.abs(mm), units, Math.abs(mm) < SMALL)}`;
/** mm below which hundredths of them are said. */
const SMALL = 4;

const shownNumber = (value: number, unit: NumberField['unit']): string => {
  const text = Number.isInteger(rounded(value))
    ? String(rounded(value))
    : showNumber(new Fraction(Math.round(value * 100), 100));
  return unit === 'degrees' ? `${Math.round(value)}°` : text;
};

/** One number of a part: a length, a count, a share or an angle; it may follow a size of the piece. */
export function NumberOf({ field, of, value, sizes, onChange }: NumberProps): ReactElement {
  const units = useUnits();
  const { label, unit, own = false } = field;
  const now = rounded(numberOf(value, sizes));
  const put = (next: number): void => {
    onChange(follow(value, next, sizes));
  };
  const called = `${of}, ${label}`;
  const fitting = sizes.filter((s) => s.unit === (unit === 'count' ? 'count' : 'mm'));
  return (
    <Flex gap={2} alignItems="baseline" wrap="wrap">
      <Caption minWidth="92px">{label}</Caption>
      <span>
        {unit === 'mm' ? (
          <Value
            label={called}
            measures="length"
            text={shownLength(now, units)}
            read={(text) => signedLength(text, units)}
            onChange={put}
          />
        ) : (
          <Value label={called} text={shownNumber(now, unit)} read={plainNumber} onChange={put} />
        )}
      </span>
      {!own && fitting.length > 0 && unit !== 'times' && (
        <Caption>
          <Choice
            label={`${called} follows`}
            value={followed(value) ?? NONE}
            options={[
              { value: NONE, text: 'by itself' },
              ...fitting.map((s) => ({ value: s.id, text: `follows ${s.name}` })),
            ]}
            onChange={(id) => {
              onChange(following(value, id === NONE ? null : id, sizes));
            }}
          />
        </Caption>
      )}
    </Flex>
  );
}
