import { Box, Flex, Grid } from '@chakra-ui/react';
import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { useId, type ReactElement } from 'react';
import { useForm, type FieldErrors, type Resolver } from 'react-hook-form';
import { readHex } from '#core/colour';
import { attempt, readLength, readMass, readNumber, readTemperature, type UnitSystem } from '#core/units';
import { readDateCode } from '#core/clay';
import { useUnits } from '../state/view.js';
import { Action, Caption, Field, InlineSelect } from '../theme/pieces.js';
import { UNSENT } from '../wire/leaving.js';
import { change, useSaid } from '../wire/save.js';
import { Warning } from './Warning.js';
import { grey } from '../theme/grey.js';

export type FieldKind = 'text' | 'mass' | 'length' | 'temperature' | 'number' | 'colour' | 'date' | 'choice';
type Values = Record<string, string>;

export interface FieldSpec {
  readonly name: string;
  readonly label: string;
  readonly kind: FieldKind;
  /** may stay empty, and is null then */
  readonly optional?: boolean;
  readonly initial?: string;
  readonly hint?: string;
  readonly half?: boolean;
  readonly options?: readonly { readonly value: string; readonly text: string }[];
}

const READERS: Readonly<Record<FieldKind, (text: string, units: UnitSystem) => unknown>> = {
  text: (text) => text.trim(),
  choice: (text) => text,
  mass: readMass,
  length: readLength,
  temperature: readTemperature,
  number: (text) => readNumber(text).valueOf(),
  colour: readHex,
  date: (text) => readDateCode(text),
};

interface AddFormProps<D extends object> {
  readonly title: string;
  readonly type: new () => D;
  readonly fields: readonly FieldSpec[];
  /** what the person does not enter; it may look at what was entered */
  readonly complete: (entered: Record<string, unknown>) => Record<string, unknown>;
  /** a rule over several fields; its sentence goes beside `checkField` @throws Complaint */
  readonly check?: (entered: Record<string, unknown>) => void;
  readonly checkField?: string;
  /** what goes to the server, where it is not all that was entered */
  readonly send?: (dto: D) => object;
  readonly path: (dto: D) => string;
  readonly button: string;
  readonly onSaved: (dto: D) => void;
  readonly onCancel: () => void;
}

/** The sentence of a rule, or of the first one broken inside. */
function sentenceOf({ constraints, children = [] }: ValidationError): string {
  const [inner] = children;
  return Object.values(constraints ?? {})[0] ?? (inner ? sentenceOf(inner) : 'This cannot be saved.');
}

function resolverOf<D extends object>(
  { type, fields, complete, check, checkField }: AddFormProps<D>,
  units: UnitSystem,
): Resolver<Values> {
  return async (values) => {
    const errors: FieldErrors<Values> = {};
    const entered: Record<string, unknown> = {};
    for (const { name, kind, optional } of fields) {
      const text = values[name] ?? '';
      if (optional && text.trim() === '') {
        entered[name] = null;
        continue;
      }
      attempt(
        () => {
          entered[name] = READERS[kind](text, units);
        },
        (wrong) => {
          errors[name] = { type: 'read', message: wrong.message };
        },
      );
    }
    attempt(
      () => {
        check?.(entered);
      },
      (wrong) => {
        errors[checkField ?? ''] ??= { type: 'rule', message: wrong.message };
      },
    );
    const dto: object = plainToInstance(type, { ...entered, ...complete(entered) });
    for (const error of await validate(dto)) {
      const field = fields.find((f) => f.name === error.property);
      // what may stay empty and is, follows from another field: that one has its sentence
      if (field?.optional && (values[field.name] ?? '').trim() === '' && Object.keys(errors).length > 0) continue;
      const name = field?.name ?? fields[0]?.name ?? '';
      errors[name] ??= { type: 'rule', message: sentenceOf(error) };
    }
    return Object.keys(errors).length > 0 ? { values: {}, errors } : { values: dto as Values, errors: {} };
  };
}

/** A form for something new: the same rules as the server's, each sentence beside its field. */
export function AddForm<D extends object>(props: AddFormProps<D>): ReactElement {
  const { title, fields, path, send, button, onSaved, onCancel } = props;
  const units = useUnits();
  const id = useId();
  const {
    register,
    handleSubmit,
    setError,
    watch,
    setValue,
    formState: { errors, isSubmitting },
  } = useForm<Values>({
    defaultValues: Object.fromEntries(fields.map((f) => [f.name, f.initial ?? ''])),
    resolver: resolverOf(props, units),
  });
  const submit = handleSubmit(async (values) => {
    const dto = values as unknown as D;
    const answer = await change<D>('PUT', path(dto), send?.(dto) ?? dto);
    if (answer) {
      onSaved(dto);
      return;
    }
    const refused = useSaid.getState().refused[path(dto)];
    const field = refused?.problem.fields?.[0]?.field;
    setError(fields.some((f) => f.name === field) ? (field ?? '') : (fields[0]?.name ?? ''), {
      message: refused?.message ?? 'This was not saved.',
    });
  });
  return (
    <Box
      as="form"
      {...UNSENT}
      onSubmit={(e) => {
        void submit(e);
      }}
      onKeyDown={(e) => {
        if (e.key === 'Escape') onCancel();
      }}
      aria-label={title}
    >
      <Box as="h2" marginBottom={3}>
        {title}
      </Box>
      <Grid templateColumns="1fr 1fr" columnGap={3} rowGap={3}>
        {fields.map((field, i) => {
          const sentence = errors[field.name]?.message;
          const common = {
            id: `${id}${field.name}`,
            'aria-invalid': sentence !== undefined,
            autoFocus: i === 0,
            'data-measures': field.kind === 'length' || field.kind === 'mass' ? field.kind : undefined,
            ...register(field.name),
          };
          return (
            <Box key={field.name} gridColumn={field.half ? 'auto' : '1 / -1'} minWidth={0}>
              <label htmlFor={common.id}>
                <Caption>
                  {field.label}
                  {field.optional ? ', if you like' : ''}
                </Caption>
              </label>
              <Flex gap={2} alignItems="center">
                {field.kind === 'choice' ? (
                  <Box
                    as="span"
                    flex={1}
                    border="rule"
                    background="tile"
                    minHeight="38px"
                    display="flex"
                    alignItems="center"
                    paddingX={3}
                    minWidth={0}
                  >
                    <InlineSelect width="100%" borderBottom="none" {...common}>
                      {field.options?.map((o) => (
                        <option key={o.value} value={o.value}>
                          {o.text}
                        </option>
                      ))}
                    </InlineSelect>
                  </Box>
                ) : (
                  <Field autoComplete="off" {...common} />
                )}
                {field.kind === 'colour' && (
                  <input
                    type="color"
                    aria-label={`${field.label}, pick`}
                    tabIndex={-1}
                    style={{
                      width: 44,
                      height: 38,
                      border: `1px solid ${grey.ink}`,
                      padding: 2,
                      background: grey.tile,
                      flex: 'none',
                    }}
                    value={
                      /^#?[0-9a-f]{6}$/i.test(watch(field.name) ?? '')
                        ? `#${(watch(field.name) ?? '').replace('#', '')}`
                        : grey.unknown
                    }
                    onChange={(e) => {
                      setValue(field.name, e.currentTarget.value.slice(1).toUpperCase(), { shouldDirty: true });
                    }}
                  />
                )}
              </Flex>
              {field.hint !== undefined && sentence === undefined && <Caption>{field.hint}</Caption>}
              {sentence !== undefined && (
                <Box marginTop={2}>
                  <Warning>{sentence}</Warning>
                </Box>
              )}
            </Box>
          );
        })}
      </Grid>
      <Flex gap={2} marginTop={4}>
        <Action main type="submit" disabled={isSubmitting}>
          {button}
        </Action>
        <Action type="button" onClick={onCancel}>
          Leave it
        </Action>
      </Flex>
    </Box>
  );
}
