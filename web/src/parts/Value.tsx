import { Box } from '@chakra-ui/react';
import { useEffect, useId, useState, type ReactElement } from 'react';
import {
  attempt,
  readLength,
  readMass,
  readNumber,
  readTemperature,
  showLength,
  showMass,
  showTemperature,
  withDigits,
  type Complaint,
} from '#core/units';
import { useUnits } from '../state/view.js';
import { Inline } from '../theme/pieces.js';
import { Meanings } from './Meanings.js';
import { Warning } from './Warning.js';

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

/** A value edited where it stands: Enter or leaving keeps it, Escape lets it go. Wrong input stays, with a sentence. */
export function Value<T>({
  label,
  text,
  read,
  onChange,
  refusal,
  placeholder,
  disabled,
  measures,
}: ValueProps<T>): ReactElement {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<Complaint | null>(null);
  const id = useId();
  useEffect(() => {
    setWrong(null);
  }, [text]);
  const take = (said: string): void => {
    attempt(
      () => {
        const value = read(said);
        setTyped(null);
        setWrong(null);
        onChange(value);
      },
      (complaint) => {
        setTyped(said);
        setWrong(complaint);
      },
    );
  };
  const keep = (): void => {
    if (typed === null || typed === text) {
      setTyped(null);
      return;
    }
    take(typed);
  };
  const sentence = wrong?.message ?? refusal;
  return (
    <>
      <Inline
        data-measures={measures}
        aria-label={label}
        aria-invalid={sentence !== undefined}
        aria-describedby={sentence === undefined ? undefined : id}
        value={typed ?? text}
        placeholder={placeholder}
        disabled={disabled}
        htmlSize={Math.max(2, (typed ?? text).length)}
        onFocus={(e) => {
          e.currentTarget.select();
        }}
        onChange={(e) => {
          setTyped(e.currentTarget.value);
        }}
        onBlur={keep}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            e.preventDefault();
            keep();
          }
          if (e.key === 'Escape') {
            setTyped(null);
            setWrong(null);
          }
        }}
      />
      {sentence !== undefined && (
        <Box as="span" display="block" id={id}>
          <Warning>{sentence}</Warning>
          {wrong && <Meanings choices={wrong.choices} onChoose={take} />}
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
