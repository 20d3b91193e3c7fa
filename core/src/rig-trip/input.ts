import { z } from 'zod';
import { CHEMISTRIES } from '../catalogue/index.js';
import { span, tripLoadSchema, tripStepSchema } from '../trip/index.js';

const share = z.number().min(0).max(1);
const id = z.string().min(1);
/** Days that a thing's hours hold on, from 0; absent: every day. */
const onDays = z.array(z.number().int().min(0)).nullish();
/** Largest current of an input, A; null: none of its own. */
const maxA = z.number().min(0).nullable().default(null);

/** A lead from a bank that gives, with the losses at both of its ends. */
const lead = {
  maxA,
  setting: share.default(1),
  hours: z.array(span),
  onDays,
  inverterEfficiency: z.number().gt(0).max(1).default(0.9),
  chargerEfficiency: z.number().gt(0).max(1).default(0.88),
  floorSoc: share.default(0.5),
};

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
  bank: z.object({ bank: id, ...lead }),
  /** From whichever bank the selector stands at. */
  selector: z.object({ selector: id, ...lead }),
} as const;

export type RigInput = { readonly [K in keyof typeof INPUTS]: z.infer<(typeof INPUTS)[K]> }[keyof typeof INPUTS];

/** What an input of a charger hangs on, one of the five, and its limits. */
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
  /** What it charges: a bank, or the one that a selector stands at. */
  bank: id.nullish(),
  selector: id.nullish(),
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

/**
 * How a selector comes to stand: by its plan, or turned by hand at a full hour by what its banks hold.
 * `reserve`: off a bank that is down to its reserve. `reserve or full`: off one that is full on charge too, where loads and
 * chargers share a selector. `charge`: on to a bank that is down to its reserve, or off a full one.
 */
export const SELECTOR_RULES = ['plan', 'reserve', 'reserve or full', 'charge'] as const;

const selectorSchema = z.object({
  id,
  banks: z.array(id).min(1),
  rule: z.enum(SELECTOR_RULES).default('plan'),
  plan: z.array(z.object({ bank: id, hours: z.array(span).nullish(), onDays })).default([]),
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
    selectors: z.array(selectorSchema).default([]),
    loads: z.array(loadSchema).default([]),
    chargers: z.array(chargerSchema).default([]),
  })
  .superRefine((rig, context) => complain(rig, (path, message) => context.addIssue({ code: 'custom', path, message })));

export type RigTrip = z.infer<typeof rigTripSchema>;
export type RigBank = RigTrip['banks'][number];

/** True of what was given, and not as null. */
export const isSaid = <T>(x: T | null | undefined): x is T => x !== null && x !== undefined;

/** What hangs on a bank, or on the one that a selector stands at. */
interface Hung {
  readonly bank?: string | null | undefined;
  readonly selector?: string | null | undefined;
}

/** Every bank that it may come to hang on. */
export const banksBehind = (rig: Pick<RigTrip, 'selectors'>, { bank, selector }: Hung): readonly string[] => (isSaid(bank) ? [bank] : (rig.selectors.find((s) => s.id === selector)?.banks ?? []));

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
  const onOne = (what: string, { bank, selector }: Hung, path: (string | number)[]): void => {
    if (isSaid(bank) === isSaid(selector)) say(path, `a ${what} hangs on one of bank and selector`);
    known('banks', bank, [...path, 'bank']);
    known('selectors', selector, [...path, 'selector']);
  };
  rig.selectors.forEach((s, i) => {
    if (s.rule !== 'plan' && s.plan.length) say(['selectors', i, 'plan'], `nothing: the selector is turned by its rule, ${s.rule}`);
    s.banks.forEach((b, j) => known('banks', b, ['selectors', i, 'banks', j]));
    s.plan.forEach((p, j) => {
      if (!s.banks.includes(p.bank)) say(['selectors', i, 'plan', j, 'bank'], `one of the selector’s banks: ${s.banks.join(', ')}`);
    });
  });
  rig.loads.forEach((l, i) => onOne('load', l, ['loads', i]));
  const hung = new Set<string>();
  rig.chargers.forEach((c, i) => {
    onOne('charger', c, ['chargers', i]);
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
      if ('selector' in input) known('selectors', input.selector, [...path, 'selector']);
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
export function takersFirst(rig: Pick<RigTrip, 'banks' | 'chargers' | 'selectors'>): readonly string[] | null {
  const gives = new Map<string, Set<string>>();
  for (const c of rig.chargers)
    for (const i of c.inputs) if ('bank' in i || 'selector' in i) for (const giver of banksBehind(rig, i)) gives.set(giver, new Set([...(gives.get(giver) ?? []), ...banksBehind(rig, c)]));
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
