import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import type { FieldErrors, Resolver } from 'react-hook-form';
import { readHex } from '#core/colour';
import { attempt, readLength, readMass, readNumber, readTemperature, type UnitSystem } from '#core/units';
import { readDateCode } from '#core/clay';
import { today } from '../state/today.js';

export type FieldKind = 'text' | 'mass' | 'length' | 'temperature' | 'number' | 'colour' | 'date' | 'choice';
export type Values = Record<string, string>;

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
  date: (text) => readDateCode(text, today()),
};

export interface AddFormProps<D extends object> {
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

/** Reads what was typed, field by field, and holds it against the rules of the server. */
export function resolverOf<D extends object>(
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
