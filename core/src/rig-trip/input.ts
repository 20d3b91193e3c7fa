import { z } from 'zod';
import { CHEMISTRIES } from '../catalogue/index.js';
import { span, tripLoadSchema, tripStepSchema } from '../trip/index.js';

const share = z.number().min(0).max(1);
const id = z.string().min(1);
/** Days that a thing's hours hold on, from 0; absent: every day. */
const onDays = z.array(z.number().int().min(0)).nullish();
/** Largest current of an input, A; null: none of its own. */
const maxA = z.number().min(0).nullable().default(null);

/** Inputs by what they hang on. */
const INPUTS = {
  array: z.object({
    array: id,
    controller: z.enum(['mppt', 'pwm']).default('mppt'),
    maxA,
    setting: share.default(1),
    /** Of a PWM controller: volts of the panels at their best at 25 °C, and their cells' temperature, °C. */
    vmpV: z.number().positive().nullish(),
    cellC: z.number().nullish(),
    /** It waits until the bank is below this, and goes on until the other. */
    startBelowSoc: share.nullish(),
    stopAtSoc: share.default(0.99),
  }),
  vehicle: z.object({ vehicle: id, maxA, setting: share.default(1), efficiency: z.number().gt(0).max(1).default(0.88) }),
  inlet: z.object({ inlet: id, maxA, setting: share.default(1) }),
  bank: z.object({
    bank: id,
    maxA,
    setting: share.default(1),
    hours: z.array(span),
    onDays,
    inverterEfficiency: z.number().gt(0).max(1).default(0.9),
    chargerEfficiency: z.number().gt(0).max(1).default(0.88),
    floorSoc: share.default(0.5),
  }),
} as const;

export type RigInput = { readonly [K in keyof typeof INPUTS]: z.infer<(typeof INPUTS)[K]> }[keyof typeof INPUTS];

/** What an input of a charger hangs on, one of the four, and its limits. */
const inputSchema = z.looseObject({}).transform((raw, context): RigInput => {
  const named = (Object.keys(INPUTS) as (keyof typeof INPUTS)[]).filter((k) => k in raw);
  if (named.length !== 1) {
    context.addIssue({ code: 'custom', message: `an input names one of ${Object.keys(INPUTS).join(', ')}` });
    return z.NEVER;
  }
  const read = INPUTS[named[0]!].safeParse(raw);
  if (read.success) return read.data;
  for (const { path, message } of read.error.issues) context.addIssue({ code: 'custom', path, message });
  return z.NEVER;
});

/** How the inputs of a charger share its output. */
export const SHARING_RULES = ['one at a time', 'topped up', 'own limits'] as const;

const chargerSchema = z.object({
  id,
  bank: id,
  rule: z.enum(SHARING_RULES),
  /** Largest output, A; null: none of its own. */
  outputA: z.number().min(0).nullable().default(null),
  inputs: z.array(inputSchema).min(1),
});

const bankSchema = z.object({
  id,
  nominalV: z
    .number()
    .positive()
    .refine((v) => v % 12 === 0, { message: '12 V or a multiple of it' }),
  chemistry: z.enum(CHEMISTRIES),
  capacityAh: z.number().positive(),
  startSoc: share,
  ambientC: z.number().min(-60).max(90),
  cutoff: z.object({ openV: z.number(), closeV: z.number() }),
  reserveSoc: share.default(0.2),
});

const loadSchema = tripLoadSchema.extend({ bank: id.nullish(), selector: id.nullish(), onDays });

/** A trip of a whole rig: any number of banks, arrays, chargers, vehicles, inlets, and leads from bank to bank. */
export const rigTripSchema = z
  .object({
    stepS: tripStepSchema,
    days: z.number().int().min(1).max(366),
    /** By day; missing days are clear. */
    clearness: z.array(z.number().min(0)).nullable().default(null),
    vehicles: z.array(z.object({ id, driveHours: z.array(span), budgetW: z.number().min(0).nullable().default(null), onDays })).default([]),
    arrays: z.array(z.object({ id, sunWatts: z.array(z.number().min(0)).length(24), parked: id.nullish(), onDays })).default([]),
    inlets: z.array(z.object({ id, hours: z.array(span), onDays })).default([]),
    banks: z.array(bankSchema).min(1),
    selectors: z.array(z.object({ id, banks: z.array(id).min(1), plan: z.array(z.object({ bank: id, hours: z.array(span).nullish(), onDays })).default([]) })).default([]),
    loads: z.array(loadSchema).default([]),
    chargers: z.array(chargerSchema).default([]),
  })
  .superRefine((rig, context) => complain(rig, (path, message) => context.addIssue({ code: 'custom', path, message })));

export type RigTrip = z.infer<typeof rigTripSchema>;
export type RigBank = RigTrip['banks'][number];

/** True of what was given, and not as null. */
export const isSaid = <T>(x: T | null | undefined): x is T => x !== null && x !== undefined;

type Complain = (path: (string | number)[], message: string) => void;

/** Every id once, every reference to something that is there, every array on one input, no loop of leads. */
function complain(rig: Pick<RigTrip, 'vehicles' | 'arrays' | 'inlets' | 'banks' | 'selectors' | 'chargers' | 'loads'>, say: Complain): void {
  const ids = new Map<string, Set<string>>();
  const all = new Set<string>();
  for (const kind of ['vehicles', 'arrays', 'inlets', 'banks', 'selectors', 'chargers'] as const) {
    ids.set(kind, new Set(rig[kind].map((x) => x.id)));
    rig[kind].forEach((x, i) => {
      if (all.has(x.id)) say([kind, i, 'id'], 'an id that nothing else has');
      all.add(x.id);
    });
  }
  const known = (kind: string, what: string | null | undefined, path: (string | number)[]): void => {
    if (isSaid(what) && !ids.get(kind)!.has(what)) say(path, `one of the ${kind}: ${[...ids.get(kind)!].join(', ') || 'there are none'}`);
  };
  rig.arrays.forEach((a, i) => known('vehicles', a.parked, ['arrays', i, 'parked']));
  rig.selectors.forEach((s, i) => {
    s.banks.forEach((b, j) => known('banks', b, ['selectors', i, 'banks', j]));
    s.plan.forEach((p, j) => {
      if (!s.banks.includes(p.bank)) say(['selectors', i, 'plan', j, 'bank'], `one of the selector’s banks: ${s.banks.join(', ')}`);
    });
  });
  rig.loads.forEach((l, i) => {
    if (isSaid(l.bank) === isSaid(l.selector)) say(['loads', i], 'a load hangs on one of bank and selector');
    known('banks', l.bank, ['loads', i, 'bank']);
    known('selectors', l.selector, ['loads', i, 'selector']);
  });
  const hung = new Set<string>();
  rig.chargers.forEach((c, i) => {
    known('banks', c.bank, ['chargers', i, 'bank']);
    c.inputs.forEach((input, j) => {
      const path = ['chargers', i, 'inputs', j];
      if ('array' in input) {
        known('arrays', input.array, [...path, 'array']);
        if (hung.has(input.array)) say([...path, 'array'], 'an array hangs on one input');
        hung.add(input.array);
        if (input.controller === 'pwm' && !(isSaid(input.vmpV) && isSaid(input.cellC))) say(path, 'a PWM input names vmpV and cellC');
        return;
      }
      if ('vehicle' in input) known('vehicles', input.vehicle, [...path, 'vehicle']);
      if ('inlet' in input) known('inlets', input.inlet, [...path, 'inlet']);
      if ('bank' in input) known('banks', input.bank, [...path, 'bank']);
      if (input.maxA === null && c.outputA === null) say([...path, 'maxA'], 'amps, or an outputA of the charger');
    });
  });
  rig.arrays.forEach((a, i) => {
    if (!hung.has(a.id)) say(['arrays', i], 'an array hangs on one input; this one on none');
  });
  const loop = takersFirst(rig) === null;
  if (loop) say(['chargers'], 'leads that do not come back to the bank they start from');
}

/** Banks in an order in which each that takes by a lead comes before the one that gives; null: leads make a loop. */
export function takersFirst(rig: Pick<RigTrip, 'banks' | 'chargers'>): readonly string[] | null {
  const gives = new Map<string, Set<string>>();
  for (const c of rig.chargers) for (const i of c.inputs) if ('bank' in i) gives.set(i.bank, (gives.get(i.bank) ?? new Set()).add(c.bank));
  const out: string[] = [];
  const left = new Set(rig.banks.map((b) => b.id));
  while (left.size) {
    const next = [...left].find((b) => ![...(gives.get(b) ?? [])].some((taker) => left.has(taker)));
    if (next === undefined) return null;
    left.delete(next);
    out.push(next);
  }
  return out;
}
