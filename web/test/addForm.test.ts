import 'reflect-metadata';
import fc from 'fast-check';
import { complaint } from '#core/units';
import { BlockDto } from '#contract';
import { resolverOf, type AddFormProps, type FieldSpec } from '../src/parts/addFormRules.js';

const FIELDS: readonly FieldSpec[] = [
  { name: 'netGrams', label: 'Net weight', kind: 'mass' },
  { name: 'price', label: 'Paid', kind: 'number', optional: true },
];
const form = (more: Partial<AddFormProps<BlockDto>> = {}): AddFormProps<BlockDto> => ({
  title: 'A block',
  type: BlockDto,
  fields: FIELDS,
  complete: ({ netGrams }) => ({
    ...{ id: crypto.randomUUID(), version: 0, clayId: crypto.randomUUID() },
    ...{ leftGrams: netGrams, madeOn: null, dateCode: '' },
  }),
  path: (dto) => `/api/blocks/${dto.id}`,
  button: 'Add',
  onSaved: () => undefined,
  onCancel: () => undefined,
  ...more,
});
const read = async (values: Record<string, string>, more?: Partial<AddFormProps<BlockDto>>) =>
  resolverOf(form(more), 'metric')(values, undefined, { fields: {}, shouldUseNativeValidation: false });

test('what is typed is read field by field; what may stay empty is nothing then', async () => {
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 1, max: 4000 }), fc.boolean(), async (grams, priced) => {
      const { values, errors } = await read({ netGrams: `${grams} g`, price: priced ? '2,40' : '' });
      expect(errors).toEqual({});
      expect(values).toMatchObject({ netGrams: grams, leftGrams: grams, price: priced ? 2.4 : null });
    }),
    { numRuns: 20 },
  );
});

test('what cannot be read has its sentence beside its field, and every field has its own', async () => {
  const { values, errors } = await read({ netGrams: 'turnip', price: 'a lot' });
  expect(values).toEqual({});
  expect(errors.netGrams?.message).toMatch(/turnip/);
  expect(errors.price?.message).toMatch(/a lot/);
});

test('the rules are those of the server', async () => {
  const { errors } = await read({ netGrams: '9000 g', price: '' });
  expect(errors.netGrams?.message).toMatch(/5,000 g/);
});

test('a rule over several fields is said at one of them, unless that has a sentence already', async () => {
  const rule = {
    check: () => {
      throw complaint('amount/positive', { what: 'The price' });
    },
    checkField: 'price',
  };
  const both = await read({ netGrams: '57 g', price: '1' }, rule);
  expect(both.errors.price?.message).toMatch(/The price/);
  const own = await read({ netGrams: '57 g', price: 'a lot' }, rule);
  expect(own.errors.price?.message).toMatch(/a lot/);
});
