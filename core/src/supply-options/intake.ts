import { z } from 'zod';
import { copyDesign, leaveVehicle, tidy, USES, VEHICLE_KINDS, type Design, type Load, type Use } from '../design/index.js';
import { dayLoad, loadFromLibrary, LOAD_LIBRARY } from '../loads/index.js';
import { REGIONS } from '../travel/index.js';

const wish = z.object({ id: z.string().max(40), size: z.number().positive().max(20000).nullable() });

/** Ten answers of a short intake: enough for a first draft of loads, supply and runs. */
export const intakeSchema = z.object({
  vehicleKind: z.enum(VEHICLE_KINDS),
  alternator: z.object({ ratedA: z.number().min(0).max(1000), voltage: z.enum(['fixed', 'variable']) }),
  use: z.enum(USES),
  /** Volts of the house side: of a 24 V vehicle either. */
  houseV: z.union([z.literal(12), z.literal(24)]).default(12),
  /** The largest thing that is plugged in at a 230 V outlet, as the inverter that it wants, W; null: nothing beside what is ticked. */
  outletsW: z.number().min(100, { message: 'from 100 W is accepted' }).max(5000, { message: 'up to 5000 W is accepted' }).nullable().default(null),
  /** Appliances by their id in the library, with a size where it has one. */
  wishes: z.array(wish).max(40),
  /** Which of them must never go off. */
  never: z.array(z.string().max(40)).max(10),
  where: z.object({ region: z.string().max(40), month: z.number().int().min(1).max(12) }),
  days: z.object({ days: z.number().int().min(1).max(365), parkedDays: z.number().int().min(0).max(365) }),
  drivingH: z.number().min(0).max(24),
  mains: z.object({ nights: z.enum(['never', 'travel days', 'parked days', 'every night']), hours: z.number().min(0).max(24) }),
  limits: z.object({ payloadKg: z.number().min(0).max(20000).nullable(), budget: z.number().min(0).max(1e6).nullable() }),
});
export type Intake = z.infer<typeof intakeSchema>;

/** What each use usually wants, by id of the library. */
export const USUAL_WISHES: Readonly<Record<Use, readonly string[]>> = {
  weekends: ['fridge', 'lights-inside', 'usb-c', 'water-pump'],
  touring: ['fridge', 'lights-inside', 'lights-camp', 'usb-c', 'laptop', 'water-pump', 'fan', 'diesel-heater'],
  'remote work': ['fridge', 'two-way-radio', 'satellite-modem', 'laptop', 'lights-work', 'usb-c'],
  'mobile workshop': ['fridge', 'lights-work', 'tool-charger', 'air-compressor', 'usb-c', 'laptop'],
  events: ['fridge', 'lights-camp', 'stereo', 'coffee', 'usb-c'],
  'living aboard': ['fridge', 'freezer', 'lights-inside', 'fan', 'modem', 'laptop', 'water-pump', 'diesel-heater', 'induction', 'kettle', 'usb-c'],
};

/** Where an intake starts: what the design already says. */
export function intakeOf(design: Design): Intake {
  const { brief } = design;
  const known = new Map(LOAD_LIBRARY.map((i) => [i.id, i]));
  return {
    vehicleKind: brief.vehicleKind,
    alternator: { ratedA: brief.alternator.ratedA, voltage: brief.alternator.voltage },
    use: brief.use,
    houseV: design.supply.houseV,
    outletsW: null,
    wishes: USUAL_WISHES[brief.use].map((id) => ({ id, size: known.get(id)?.size?.usual ?? null })),
    never: ['fridge'],
    where: { region: brief.trip.region ?? REGIONS[0]!.id, month: brief.trip.month },
    days: { days: brief.trip.days, parkedDays: brief.trip.parkedDays },
    drivingH: brief.trip.drivingH,
    mains: { nights: brief.trip.mainsNights, hours: brief.trip.mainsH || 9 },
    limits: { payloadKg: brief.payloadLeftKg, budget: brief.budget },
  };
}

/** The library's 230 V outlets. */
const OUTLETS = 'outlets-230';

/** Loads that an intake asks for, in its order; a wish that the library does not know is left out. */
export function loadsFromIntake(intake: Intake): Record<string, Load> {
  const outlets = intake.outletsW === null ? [] : [{ id: OUTLETS, size: intake.outletsW }];
  const loads = [...intake.wishes.filter((w) => !outlets.length || w.id !== OUTLETS), ...outlets].flatMap((w, i): [string, Load][] => {
    const load = loadFromLibrary(w.id, i + 1, w.size ?? undefined);
    return load ? [[w.id, { ...load, critical: load.critical || intake.never.includes(w.id) }]] : [];
  });
  return Object.fromEntries(loads);
}

/** The design with an intake's answers in its brief, and the loads they ask for; supply stays until a draft is chosen. */
export function applyIntake(design: Design, intake: Intake): Design {
  const next = copyDesign(design);
  const { brief } = next;
  if (brief.vehicleKind !== intake.vehicleKind) leaveVehicle(next);
  // Volts are the engine's: of a trailer they are told by what tows it.
  if ([brief.vehicleKind, intake.vehicleKind].includes('light-truck')) brief.vehicleV = intake.vehicleKind === 'light-truck' ? 24 : 12;
  brief.vehicleKind = intake.vehicleKind;
  next.supply.houseV = intake.houseV;
  brief.alternator = { ...brief.alternator, ...intake.alternator };
  brief.use = intake.use;
  Object.assign(brief.trip, intake.where, intake.days, { drivingH: intake.drivingH, mainsNights: intake.mains.nights, mainsH: intake.mains.nights === 'never' ? 0 : intake.mains.hours });
  brief.payloadLeftKg = intake.limits.payloadKg;
  brief.budget = intake.limits.budget;
  // A lead to another vehicle is no answer of this intake: its outlet stays.
  const outlets = Object.entries(next.loads).filter(([, l]) => l.lead);
  next.loads = { ...loadsFromIntake(intake), ...Object.fromEntries(outlets) };
  tidy(next);
  return next;
}

/** Ah a day that an intake asks for at the house side's volts, on a travel day away from mains and through an inverter not yet chosen. */
export function ahDayOf(intake: Intake): number {
  const context = { nominalV: intake.houseV, drivingH: intake.drivingH, mainsH: 0, inverterW: null, ambientC: climateAt(intake) };
  return Object.entries(loadsFromIntake(intake)).reduce((sum, [id, load]) => sum + dayLoad(id, load, context).ahDay, 0);
}

const climateAt = (intake: Intake): number => REGIONS.find((r) => r.id === intake.where.region)?.dayC[intake.where.month - 1] ?? 25;
