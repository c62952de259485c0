import fc from 'fast-check';

/** What of JSON Schema the API's own document uses. */
export interface JsonSchema {
  $ref?: string;
  type?: string | string[];
  const?: unknown;
  enum?: unknown[];
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  properties?: Record<string, JsonSchema>;
  required?: string[];
  items?: JsonSchema;
  prefixItems?: JsonSchema[];
  additionalProperties?: JsonSchema | boolean;
}

const texts = [
  '',
  ' ',
  'x',
  'harrow-guild',
  'nobody',
  'title:("head of quality" OR QA) NOT software',
  'title:(QA',
  '('.repeat(300),
  'a \u0000 b',
  '\ud800',
  '=1+1',
  '<b onload=x>',
  '👩🏽‍🔬 Søren',
  '2026-13',
  '00000000-0000-4000-8000-000000000000',
  'y'.repeat(3000)
];
const numbers = [-1, 0, 1, 2, 0.5, 1e9, 2_147_483_647, 2_147_483_648, 9_007_199_254_740_991, 1e300, -0.0001];
const anything = fc.constantFrom<unknown>(null, true, 7, 'text', [], {}, [null], { x: { y: [1] } });

/** JSON that is nearly what a schema asks for: of the right shape mostly, with awkward texts and numbers, and here and there something else. */
export function nearly(schema: JsonSchema, named: Record<string, JsonSchema>, depth = 0): fc.Arbitrary<unknown> {
  const right = shaped(schema, named, depth);
  return depth > 8 ? anything : fc.oneof({ weight: 40, arbitrary: right }, { weight: 1, arbitrary: anything });
}

function shaped(schema: JsonSchema, named: Record<string, JsonSchema>, depth: number): fc.Arbitrary<unknown> {
  if (schema.$ref) return nearly(named[schema.$ref.slice('#/components/schemas/'.length)]!, named, depth + 1);
  if ('const' in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const choices = schema.anyOf ?? schema.oneOf ?? schema.allOf;
  if (choices?.length) return fc.oneof(...choices.map((choice) => nearly(choice, named, depth + 1)));
  const type = Array.isArray(schema.type) ? schema.type[0] : schema.type;
  if (type === 'object') {
    const fields = Object.entries(schema.properties ?? {}).map(([name, one]): [string, fc.Arbitrary<unknown>] => [
      name,
      nearly(one, named, depth + 1)
    ]);
    const { additionalProperties: more } = schema;
    if (!fields.length && more && typeof more === 'object')
      return fc.dictionary(fc.constantFrom(...texts), nearly(more, named, depth + 1), { maxKeys: 3 });
    return fc.record(Object.fromEntries(fields), { requiredKeys: schema.required ?? [] });
  }
  if (type === 'array') {
    if (schema.prefixItems) return fc.tuple(...schema.prefixItems.map((one) => nearly(one, named, depth + 1)));
    return fc.array(nearly(schema.items ?? {}, named, depth + 1), { maxLength: 3 });
  }
  if (type === 'string') return fc.constantFrom(...texts);
  if (type === 'number' || type === 'integer') return fc.constantFrom(...numbers);
  if (type === 'boolean') return fc.boolean();
  if (type === 'null') return fc.constant(null);
  return anything;
}
