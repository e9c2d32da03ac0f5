import { array, mixed, number, object, string, type ValidationError, type Schema } from 'yup';
import { fault, faultAt, faultSays, formOf, rule } from './fault';
import { schemaFault } from './schema-fault';

test('a fault fills its sentence with what it names, and carries both', () => {
  expect(fault('body.value', 'out-of-bounds', { least: 1, most: 9, unit: 'mm' })).toEqual({
    at: 'body.value',
    message: 'must be from 1 to 9 mm',
    code: 'out-of-bounds',
    params: { least: 1, most: 9, unit: 'mm' },
  });
  expect(faultAt('kind', 'order-first')).toEqual([
    { at: 'kind', message: 'needs an order first', code: 'order-first' },
  ]);
  expect(fault('', 'pairs-too-few').message).toBe('are fewer than {{n}} in this clinic');
});

/** What a schema finds wrong, in the order in which the package tells it. */
function faultsOf(schema: Schema, value: unknown) {
  try {
    schema.validateSync(value, { abortEarly: false, strict: true });
  } catch (error) {
    const { inner } = error as ValidationError;
    return (inner.length > 0 ? inner : [error as ValidationError]).map((one) => schemaFault(one));
  }
  return [];
}
const only = (schema: Schema, value: unknown) => {
  const [found, ...others] = faultsOf(schema, value);
  expect(others).toEqual([]);
  return [found!.code, found!.message];
};

test.each<[string, Schema, unknown, string, string]>([
  ['nothing', string().required(), undefined, 'needed', 'is needed'],
  ['an empty text', string().required(), '', 'needed', 'is needed'],
  ['null', number().defined(), null, 'needed', 'is needed'],
  ['left out', number().defined(), undefined, 'needed', 'is needed'],
  ['too little', number().min(3), 2, 'least', 'must be 3 or more'],
  ['too much', number().max(3), 4, 'most', 'must be 3 or less'],
  ['zero', number().positive(), 0, 'positive', 'must be more than 0'],
  ['a half', number().integer(), 0.5, 'whole', 'must be a whole number'],
  ['a word', number(), 'four', 'type', 'must be a number'],
  ['a short text', string().min(3), 'ab', 'longer', 'must have 3 characters or more'],
  ['a long text', string().max(3), 'abcd', 'shorter', 'must have 3 characters or fewer'],
  ['blanks about it', string().trim(), ' a ', 'spaces', 'must not begin or end with spaces'],
  ['another word', mixed().oneOf(['a', 'b']), 'c', 'one-of', 'must be one of a, b'],
  ['few', array().min(2), [1], 'more', 'must have 2 or more'],
  ['many', array().max(1), [1, 2], 'fewer', 'must have 1 or fewer'],
  [
    'what is not known',
    object({ a: string() }).noUnknown(),
    { b: 1 },
    'unknown',
    'has something that is not known here: b',
  ],
  ['a rule of ours', string().test(...rule('date'), () => false), 'x', 'date', faultSays.date],
  ['a form of ours', string().matches(/^a$/, formOf('digest')), 'b', 'digest', faultSays.digest],
  ['a rule of nobody’s', string().test('own', 'is odd', () => false), 'x', 'schema-rule', 'is odd'],
])('%s has its code', (_, schema, value, code, message) =>
  expect(only(schema, value)).toEqual([code, message]),
);

test('it stands where the value does, or where it is said to', () => {
  expect.assertions(3);
  const schema = object({ days: array().of(object({ day: number().required() })) });
  const [found] = faultsOf(schema, { days: [{ day: 1 }, {}] });
  expect(found!.at).toBe('days[1].day');
  try {
    number().validateSync('x', { strict: true });
  } catch (error) {
    expect(schemaFault(error as ValidationError, 'body.value').at).toBe('body.value');
    expect(schemaFault(error as ValidationError).at).toBe('');
  }
});
