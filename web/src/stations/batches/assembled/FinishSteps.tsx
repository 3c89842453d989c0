import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Fraction, readMinutes, readNumber, showNumber } from '#core/units';
import type { FinishStepDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { TextValue, Value } from '../../../parts/Value.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { FINISH_KINDS, finishStep } from './assemblyMoves.js';
import { FINISH_WORDS } from './partWords.js';

interface StepsProps {
  readonly of: string;
  readonly steps: readonly FinishStepDto[];
  readonly disabled: boolean;
  readonly onSteps: (steps: FinishStepDto[]) => void;
}

interface StepProps {
  readonly step: FinishStepDto;
  readonly disabled: boolean;
  readonly set: (step: FinishStepDto) => void;
}

const number = (value: number): string => showNumber(new Fraction(Math.round(value * 4), 4));
const MORE = 'more';
const HOUR = 60;

/** A time in minutes or hours. */
function Time({
  label,
  value,
  unit,
  disabled,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly unit: 'min' | 'h';
  readonly disabled: boolean;
  readonly onChange: (value: number) => void;
}): ReactElement {
  return (
    <Value
      label={label}
      text={`${number(value)} ${unit}`}
      disabled={disabled}
      read={(text) => readMinutes(text, unit) / (unit === 'h' ? HOUR : 1)}
      onChange={onChange}
    />
  );
}

/** Grits in a row, as they are used. */
function Grits({ step, disabled, set }: StepProps): ReactElement {
  return (
    <Value
      label="Grits"
      text={step.grits.join(', ')}
      placeholder="grits"
      disabled={disabled}
      read={(text) =>
        text
          .split(/[,\s]+/)
          .filter((word) => word !== '')
          .map((word) => readNumber(word).valueOf())
      }
      onChange={(grits) => {
        set({ ...step, grits });
      }}
    />
  );
}

function OneStep({ step, disabled, set, onOut }: StepProps & { readonly onOut: () => void }): ReactElement {
  const called = FINISH_WORDS[step.kind];
  return (
    <Box as="li">
      <Flex gap={2} alignItems="baseline">
        <b>{called}</b>
        <Box flex={1} minWidth={0}>
          <TextValue
            label={`What more there is to ${called}`}
            value={step.name}
            placeholder={step.kind === 'own' ? 'what it is' : 'with what'}
            disabled={disabled}
            onChange={(name) => {
              set({ ...step, name });
            }}
          />{' '}
          {step.kind === 'sand' && <Grits step={step} disabled={disabled} set={set} />}
        </Box>
        {!disabled && (
          <Word fontSize="small" aria-label={`Take ${called} out`} onClick={onOut}>
            out
          </Word>
        )}
      </Flex>
      <Times step={step} disabled={disabled} set={set} />
    </Box>
  );
}

/** How long a step takes by hand, and how long it is left alone then. */
function Times({ step, disabled, set }: StepProps): ReactElement {
  const called = FINISH_WORDS[step.kind];
  return (
    <Caption display="block">
      <Time
        label={`Minutes for each to ${called}`}
        value={step.each}
        unit="min"
        disabled={disabled}
        onChange={(each) => {
          set({ ...step, each });
        }}
      />{' '}
      each,{' '}
      <Time
        label={`Minutes for all to ${called}`}
        value={step.once}
        unit="min"
        disabled={disabled}
        onChange={(once) => {
          set({ ...step, once });
        }}
      />{' '}
      once, then leave it{' '}
      <Time
        label={`Hours after ${called}`}
        value={step.hours}
        unit="h"
        disabled={disabled}
        onChange={(hours) => {
          set({ ...step, hours });
        }}
      />
    </Caption>
  );
}

/** What is done after the oven, by hand and waiting, in its order. */
export function FinishSteps({ of, steps, disabled, onSteps }: StepsProps): ReactElement {
  return (
    <Box role="group" aria-label={`After the oven, ${of}`}>
      <Box as="h3" marginBottom={1}>
        Afterwards
      </Box>
      <Flex as="ol" direction="column" gap={1}>
        {steps.map((step) => (
          <OneStep
            key={step.id}
            step={step}
            disabled={disabled}
            set={(next) => {
              onSteps(steps.map((s) => (s.id === next.id ? next : s)));
            }}
            onOut={() => {
              onSteps(steps.filter((s) => s.id !== step.id));
            }}
          />
        ))}
      </Flex>
      {!disabled && (
        <Choice
          label={`A step more after the oven, ${of}`}
          value={MORE}
          options={[
            { value: MORE, text: 'a step more' },
            ...FINISH_KINDS.map((kind) => ({ value: kind, text: FINISH_WORDS[kind] })),
          ]}
          onChange={(kind) => {
            if (kind !== MORE) onSteps([...steps, finishStep(kind)]);
          }}
        />
      )}
    </Box>
  );
}
