import fc from 'fast-check';
import { z } from 'zod';

interface Shape {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, Shape>>;
  readonly required?: readonly string[];
  readonly items?: Shape;
  readonly anyOf?: readonly Shape[];
  readonly oneOf?: readonly Shape[];
  readonly allOf?: readonly Shape[];
  readonly additionalProperties?: Shape | boolean;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly format?: string;
  readonly $ref?: string;
  readonly $defs?: Readonly<Record<string, Shape>>;
}

/** What no field expects and somebody sends all the same. */
export const NASTY: fc.Arbitrary<unknown> = fc.constantFrom<unknown>(
  null,
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '\udfff tail',
  '<script>alert(1)</script>',
  '&"\'<svg onload=x>',
  "'; drop table jobs; --",
  '../../etc/passwd',
  '%00%2e%2e',
  '\u202e\u200b',
  'x'.repeat(20_000),
  '9'.repeat(400),
  -1,
  -0,
  1e308,
  -1e308,
  5e-324,
  2 ** 31,
  2 ** 53,
  2 ** 63,
  0.1 + 0.2,
  true,
  [],
  {},
  [[[[[[]]]]]],
  { __proto__: null },
  JSON.parse('{"__proto__": {"polluted": true}}') as unknown,
  { constructor: { prototype: {} } },
  { toString: 1 },
  '2026-02-30',
  '0000-00-00',
  '9999-12-31T23:59:60Z',
);

const text = (format: string | undefined, uuids: readonly string[]): fc.Arbitrary<unknown> => {
  if (format === 'uuid') return fc.oneof(fc.uuid(), fc.constantFrom(...uuids));
  if (format === 'date') return fc.constantFrom('2026-12-02', '1970-01-01', '9999-12-31');
  if (format === 'email') return fc.constantFrom('mia@shed.example', 'a@b.example');
  return fc.oneof(fc.string({ maxLength: 60 }), fc.string({ unit: 'binary', maxLength: 40 }), fc.constantFrom('/brief/notes', 'plan', 'own', 'load-fridge'));
};

/** A body as the schema of a route asks for, with something in it that nobody should send, or all of it so. */
export function hostileBodies(schema: z.ZodType, uuids: readonly string[]): fc.Arbitrary<unknown> {
  const root = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Shape;
  const resolve = (s: Shape): Shape => (s.$ref === undefined ? s : s.$ref === '#' ? root : (root.$defs?.[s.$ref.split('/').at(-1)!] ?? {}));
  const like = (given: Shape, depth: number): fc.Arbitrary<unknown> => {
    const s = resolve(given);
    if (depth > 5) return NASTY;
    const within = (x: Shape): fc.Arbitrary<unknown> => fc.oneof({ weight: 6, arbitrary: like(x, depth + 1) }, { weight: 1, arbitrary: NASTY });
    const either = s.anyOf ?? s.oneOf;
    if (either?.length) return fc.oneof(...either.map((x) => like(x, depth)));
    if (s.enum) return fc.constantFrom(...s.enum);
    if (s.const !== undefined) return fc.constant(s.const);
    if (s.type === 'object' || s.properties) {
      const rest = typeof s.additionalProperties === 'object' ? s.additionalProperties : {};
      // A record of given keys names them as required alone.
      const keys = new Set([...Object.keys(s.properties ?? {}), ...(s.required ?? [])]);
      const of = Object.fromEntries([...keys].map((key) => [key, within(s.properties?.[key] ?? rest)]));
      const named = fc.record(of, { requiredKeys: [...(s.required ?? [])] });
      const more = typeof s.additionalProperties === 'object' ? fc.dictionary(fc.string({ maxLength: 12 }), within(rest), { maxKeys: 3 }) : fc.constant({});
      return fc.tuple(named, more).map(([a, b]) => ({ ...b, ...a }));
    }
    if (s.type === 'array') return fc.array(within(s.items ?? {}), { maxLength: 4 });
    if (s.type === 'number' || s.type === 'integer') return fc.oneof(fc.integer({ min: 0, max: 5 }), fc.double({ noNaN: true }), fc.integer());
    if (s.type === 'boolean') return fc.boolean();
    if (s.type === 'null') return fc.constant(null);
    if (s.type === 'string') return text(s.format, uuids);
    return fc.oneof(fc.jsonValue({ maxDepth: 3 }), NASTY);
  };
  return fc.oneof({ weight: 9, arbitrary: like(root, 0) }, { weight: 1, arbitrary: NASTY });
}
