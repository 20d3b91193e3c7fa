import { z } from 'zod';
import { asFurther, blankDesign, bodyOf, couplingsOf, leaveVehicle, OWN, rigsIn, VEHICLE_KINDS, type Coupling, type Design } from '../design/index.js';
import { command, Refused } from './command.js';
import { dcLead, forgetLead, leadsTo, mainsLead } from './leads.js';
import { freshAmong, lastOrder } from './things.js';

const id = z
  .string()
  .regex(/^[a-z][a-z0-9-]*$/, { message: 'small letters, digits and dashes, a letter first' })
  .max(40);
const hour = z.number().min(0).max(24);
const span = z.tuple([hour, hour]).refine(([a, b]) => a < b, { message: 'a span runs from an earlier to a later hour; one that passes midnight is two' });

const vehicles = (d: Design): string => [OWN, ...Object.keys(d.vehicles)].join(', ');

function vehicle(d: Design, asked: string, field: string): void {
  if (asked !== OWN && !(asked in d.vehicles)) throw new Refused(`${field}: ${asked} is none of the vehicles; ${vehicles(d)} are accepted`);
}

/** A rig of nothing, as a vehicle has that only tows or carries. */
const withoutRig = (d: Design): Design => ({ ...d, banks: {}, arrays: {}, converters: {}, links: {}, distribution: {}, switchgear: {}, monitors: {} });

/** A further vehicle of the job: with the usual rig to be corrected or drafted, or with none. */
export const addVehicle = command({
  input: z.strictObject({
    id: id.optional(),
    name: z.string().max(60).default(''),
    vehicleKind: z.enum(VEHICLE_KINDS),
    plate: z.string().max(20).default(''),
    vehicleV: z.union([z.literal(12), z.literal(24)]).default(12),
    alternator: z.strictObject({ ratedA: z.number().min(0).max(1000), voltage: z.enum(['fixed', 'variable']) }).optional(),
    rig: z.enum(['usual', 'none']).default('usual'),
  }),
  words: (i) => `another vehicle: ${i.name || i.vehicleKind}`,
  change: (d, i) => {
    const usual = blankDesign(d.brief.customer);
    leaveVehicle(usual);
    Object.assign(usual.brief, { vehicleKind: i.vehicleKind, plate: i.plate, vehicleV: i.vehicleV });
    Object.assign(usual.brief.alternator, i.alternator ?? {});
    const made = freshAmong(d.vehicles, i.id, i.vehicleKind, [OWN]);
    d.vehicles[made] = asFurther(i.rig === 'none' ? withoutRig(usual) : usual, lastOrder(d.vehicles), i.name);
  },
});

/** A further rig in the body of a vehicle: a bank of its own with its own chargers and loads, on the same engine. */
export const addRig = command({
  input: z.strictObject({ id: id.optional(), name: z.string().max(60).default(''), vehicle: id.default(OWN) }),
  words: (i) => `another rig: ${i.name || i.vehicle}`,
  change: (d, i) => {
    vehicle(d, i.vehicle, 'vehicle');
    const body = bodyOf(d, i.vehicle);
    const usual = blankDesign(d.brief.customer);
    leaveVehicle(usual);
    usual.brief.vehicleKind = (body === OWN ? d : d.vehicles[body]!).brief.vehicleKind;
    const made = freshAmong(d.vehicles, i.id, 'rig', [OWN]);
    d.vehicles[made] = { ...asFurther(usual, lastOrder(d.vehicles), i.name), within: body };
  },
});

/** Takes a vehicle out of the job, with all that is built into it and every coupling to it. */
export const removeVehicle = command({
  input: z.strictObject({ vehicle: id }),
  words: (i) => `without the vehicle ${i.vehicle}`,
  change: (d, { vehicle: gone }) => {
    if (gone === OWN) throw new Refused(`vehicle: ${OWN} is the one that the job began with; ${Object.keys(d.vehicles).join(', ') || 'no other'} may go`);
    vehicle(d, gone, 'vehicle');
    // What joined it goes with it when the document is tidied; an outlet stands in another vehicle.
    const all = rigsIn(d, gone);
    for (const [, c] of couplingsOf(d)) if ([c.to, c.from].some((v) => v === gone || all.includes(v))) forgetLead(d, c);
    delete d.vehicles[gone];
  },
});

const isLead = (c: Pick<Coupling, 'carries'>): boolean => c.carries !== 'charge';

/** Joins two vehicles: the engine of one charges the rig of the other, or in hours that are named its inverter feeds the other’s inlet, or its bank a charger of the other. */
export const couple = command({
  input: z.strictObject({
    id: id.optional(),
    name: z.string().max(60).default(''),
    from: id,
    to: id,
    carries: z.enum(['charge', 'mains', 'dc']).default('charge'),
    hours: z.array(span).min(1).max(6).optional(),
    inlet: id.optional(),
    converter: id.optional(),
    floorSoc: z.number().min(0).max(1).default(0.5),
  }),
  words: (i) => `${i.from} and ${i.to} coupled`,
  change: (d, i, catalogue) => {
    vehicle(d, i.from, 'from');
    vehicle(d, i.to, 'to');
    for (const [field, end] of [
      ['from', i.from],
      ['to', i.to],
    ] as const)
      if (i.carries === 'charge' && bodyOf(d, end) !== end) throw new Refused(`${field}: ${end} is a rig in the body of ${bodyOf(d, end)}, charged as that is; name ${bodyOf(d, end)}`);
    if (i.from === i.to) throw new Refused(`to: ${i.to} is the vehicle that it comes from; another is accepted`);
    if (leadsTo(d, (c) => isLead(c) === isLead(i), i.to, i.from)) throw new Refused(`to: ${i.to} already gives to ${i.from}; two vehicles cannot ${isLead(i) ? 'feed' : 'charge'} each other`);
    if (i.carries === 'charge' && i.hours) throw new Refused('hours: a plug charges while the engine runs; hours are accepted for a lead');
    if (i.carries !== 'dc' && i.converter !== undefined) throw new Refused('converter: a DC lead alone feeds one charger; for mains name the inlet');
    const { name, from, to, carries, floorSoc } = i;
    const made = freshAmong(d.couplings, i.id, isLead(i) ? 'lead' : 'plug', [OWN]);
    const ends = carries === 'charge' ? { outlet: null, inlet: null } : (carries === 'mains' ? mainsLead : dcLead)(d, i, made, catalogue);
    d.couplings[made] = { order: lastOrder(d.couplings), name, from, to, carries, ...ends, floorSoc };
  },
});

/** Takes a coupling away. */
export const uncouple = command({
  input: z.strictObject({ coupling: id }),
  words: (i) => `without the coupling ${i.coupling}`,
  change: (d, { coupling }) => {
    if (!(coupling in d.couplings)) throw new Refused(`coupling: ${coupling} is not there; ${Object.keys(d.couplings).join(', ') || 'there are none'}`);
    forgetLead(d, d.couplings[coupling]!);
    delete d.couplings[coupling];
  },
});
