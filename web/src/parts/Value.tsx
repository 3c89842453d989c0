import { Box } from '@chakra-ui/react';
import { attempt } from '#core/units';
import { useEffect, useId, useLayoutEffect, useRef, useState, type ReactElement } from 'react';
import {
  readLength,
  readMass,
  readNumber,
  readTemperature,
  showLength,
  showMass,
  showTemperature,
  withDigits,
} from '#core/units';
import { useUnits } from '../state/view.js';
import { Inline } from '../theme/pieces.js';
import { Meanings } from './Meanings.js';
import { Warning } from './Warning.js';
import { UNTOUCHED, type Left, leave, take } from './typed.js';

export interface ValueProps<T> {
  readonly label: string;
  /** as it stands in the sentence */
  readonly text: string;
  /** @throws Complaint with the sentence for the person */
  readonly read: (text: string) => T;
  readonly onChange: (value: T) => void;
  /** what the server said against it */
  readonly refusal?: string | undefined;
  readonly placeholder?: string;
  readonly disabled?: boolean;
  /** calipers or a scale may fill it */
  readonly measures?: 'length' | 'mass';
}

/** What is in a field, and keeping it. */
function useTyped<T>({ text, read, onChange }: ValueProps<T>) {
  const [typed, setTyped] = useState(UNTOUCHED);
  useEffect(() => {
    setTyped((now) => ({ ...now, wrong: null }));
  }, [text]);
  const settle = ({ typed: next, value }: Left<T>): void => {
    setTyped(next);
    if (!value) return;
    // what is read may still be refused where it is put
    attempt(
      () => {
        onChange(value.of);
      },
      (wrong) => {
        setTyped({ text: typed.text, wrong });
      },
    );
  };
  return {
    shown: typed.text ?? text,
    untouched: typed.text === null,
    wrong: typed.wrong,
    type: (next: string): void => {
      setTyped({ ...typed, text: next });
    },
    keep: (): void => {
      settle(leave(typed, text, read));
    },
    take: (said: string): void => {
      settle(take(said, read));
    },
    reset: (): void => {
      setTyped(UNTOUCHED);
    },
  };
}

/** A field in which nothing was typed yet stays selected when its value becomes another: what is typed replaces it. */
function useStaysSelected(text: string, untouched: boolean) {
  const field = useRef<HTMLInputElement>(null);
  useLayoutEffect(() => {
    if (untouched && document.activeElement === field.current) field.current?.select();
  }, [text, untouched]);
  return field;
}

/** Letters that a field has room for at least. */
const NARROWEST = 2;

/** A value edited where it stands: Enter or leaving keeps it, Escape lets it go. Wrong input stays, with a sentence. */
export function Value<T>(props: ValueProps<T>): ReactElement {
  const { label, refusal, placeholder, disabled, measures } = props;
  const { shown, untouched, wrong, type, keep, take: choose, reset } = useTyped(props);
  const field = useStaysSelected(shown, untouched);
  const id = useId();
  const sentence = wrong?.message ?? refusal;
  return (
    <>
      <Inline
        ref={field}
        data-measures={measures}
        aria-label={label}
        aria-invalid={sentence !== undefined}
        aria-describedby={sentence === undefined ? undefined : id}
        value={shown}
        placeholder={placeholder}
        disabled={disabled}
        htmlSize={Math.max(NARROWEST, shown.length)}
        onFocus={(e) => {
          e.currentTarget.select();
        }}
        onChange={(e) => {
          type(e.currentTarget.value);
        }}
        onBlur={keep}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            e.preventDefault();
            keep();
          }
          if (e.key === 'Escape') reset();
        }}
      />
      {sentence !== undefined && (
        <Box as="span" display="block" id={id}>
          <Warning>{sentence}</Warning>
          {wrong && <Meanings choices={wrong.choices} onChoose={choose} />}
        </Box>
      )}
    </>
  );
}

type Measured = Omit<ValueProps<number>, 'text' | 'read'> & { readonly value: number };

export function LengthValue({ value, fine = false, ...rest }: Measured & { readonly fine?: boolean }): ReactElement {
  const units = useUnits();
  return (
    <Value {...rest} measures="length" text={showLength(value, units, fine)} read={(text) => readLength(text, units)} />
  );
}

export function MassValue({ value, ...rest }: Measured): ReactElement {
  const units = useUnits();
  return <Value {...rest} measures="mass" text={showMass(value, units)} read={(text) => readMass(text, units)} />;
}

export function TemperatureValue({ value, ...rest }: Measured): ReactElement {
  const units = useUnits();
  return <Value {...rest} text={showTemperature(value, units)} read={(text) => readTemperature(text, units)} />;
}

export function CountValue({ value, ...rest }: Measured): ReactElement {
  return <Value {...rest} text={String(value)} read={(text) => readNumber(withDigits(text)).valueOf()} />;
}

export function TextValue({
  value,
  ...rest
}: Omit<ValueProps<string>, 'text' | 'read'> & { readonly value: string }): ReactElement {
  return <Value {...rest} text={value} read={(text) => text.trim()} />;
}
