import { Box, Flex, Grid } from '@chakra-ui/react';
import { useId, type ReactElement } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { useUnits } from '../state/view.js';
import { Action, Caption, Field, InlineSelect } from '../theme/pieces.js';
import { UNSENT } from '../wire/leaving.js';
import { change, useSaid } from '../wire/save.js';
import { resolverOf, type AddFormProps, type FieldSpec, type Values } from './addFormRules.js';
import { Warning } from './Warning.js';
import { grey } from '../theme/grey.js';

interface OneFieldProps {
  readonly field: FieldSpec;
  readonly id: string;
  readonly first: boolean;
  readonly form: UseFormReturn<Values>;
}

interface PickColourProps {
  readonly field: FieldSpec;
  readonly form: UseFormReturn<Values>;
}

const WHOLE_HEX = /^#?[0-9a-f]{6}$/i;

/** A colour picked from the screen instead of typed. */
function PickColour({ field, form: { watch, setValue } }: PickColourProps): ReactElement {
  const text = watch(field.name) ?? '';
  return (
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
      value={WHOLE_HEX.test(text) ? `#${text.replace('#', '')}` : grey.unknown}
      onChange={(e) => {
        setValue(field.name, e.currentTarget.value.slice(1).toUpperCase(), { shouldDirty: true });
      }}
    />
  );
}

/** What every kind of field is given. */
const commonOf = ({ field, id, first, form }: OneFieldProps) => ({
  id: `${id}${field.name}`,
  'aria-invalid': form.formState.errors[field.name] !== undefined,
  autoFocus: first,
  'data-measures': field.kind === 'length' || field.kind === 'mass' ? field.kind : undefined,
  ...form.register(field.name),
});

interface ChooseProps {
  readonly field: FieldSpec;
  readonly common: ReturnType<typeof commonOf>;
}

/** One of several. */
function Choose({ field, common }: ChooseProps): ReactElement {
  return (
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
  );
}

/** A field with its name above it and its sentence below. */
function OneField(props: OneFieldProps): ReactElement {
  const { field, form } = props;
  const sentence = form.formState.errors[field.name]?.message;
  const common = commonOf(props);
  return (
    <Box gridColumn={field.half ? 'auto' : '1 / -1'} minWidth={0}>
      <label htmlFor={common.id}>
        <Caption>
          {field.label}
          {field.optional ? ', if you like' : ''}
        </Caption>
      </label>
      <Flex gap={2} alignItems="center">
        {field.kind === 'choice' ? <Choose field={field} common={common} /> : <Field autoComplete="off" {...common} />}
        {field.kind === 'colour' && <PickColour field={field} form={form} />}
      </Flex>
      {field.hint !== undefined && sentence === undefined && <Caption>{field.hint}</Caption>}
      {sentence !== undefined && (
        <Box marginTop={2}>
          <Warning>{sentence}</Warning>
        </Box>
      )}
    </Box>
  );
}

/** The form, and saving it: what the server refuses goes beside its field too. */
function useAdding<D extends object>(props: AddFormProps<D>) {
  const { fields, path, send, onSaved } = props;
  const units = useUnits();
  const form = useForm<Values>({
    defaultValues: Object.fromEntries(fields.map((f) => [f.name, f.initial ?? ''])),
    resolver: resolverOf(props, units),
  });
  const submit = form.handleSubmit(async (values) => {
    const dto = values as unknown as D;
    const answer = await change<D>('PUT', path(dto), send?.(dto) ?? dto);
    if (answer) {
      onSaved(dto);
      return;
    }
    const refused = useSaid.getState().refused[path(dto)];
    const field = refused?.problem.fields?.[0]?.field;
    form.setError(fields.some((f) => f.name === field) ? (field ?? '') : (fields[0]?.name ?? ''), {
      message: refused?.message ?? 'This was not saved.',
    });
  });
  return { form, submit };
}

/** A form for something new: the same rules as the server's, each sentence beside its field. */
export function AddForm<D extends object>(props: AddFormProps<D>): ReactElement {
  const { title, fields, button, onCancel } = props;
  const id = useId();
  const { form, submit } = useAdding(props);
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
        {fields.map((field, i) => (
          <OneField key={field.name} field={field} id={id} first={i === 0} form={form} />
        ))}
      </Grid>
      <Flex gap={2} marginTop={4}>
        <Action main type="submit" disabled={form.formState.isSubmitting}>
          {button}
        </Action>
        <Action type="button" onClick={onCancel}>
          Leave it
        </Action>
      </Flex>
    </Box>
  );
}
