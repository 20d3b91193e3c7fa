import type { CircuitPlan, SettledState } from '../circuit/index.js';
import { fromInlet, switchedBy, withPort, type Ported } from '../plant/index.js';
import { givesBy } from '../routes/index.js';
import { at, AT_HAND_MIN, AT_THE_ROOF_MIN, CLAMP, CLAMP_MIN, giver, OPEN_SHARE, type Probe, SUN_SHARE, VOLT } from './probe.js';

type Charger = Ported<'dcIn'>;

/** Volts on the wire that switches a charger on, where the engine does: live with it, dead without. */
function onTrigger(plan: CircuitPlan, c: Charger, name: string): Probe[] {
  const { inputs } = c;
  const { id } = c.ref;
  if (switchedBy(plan.plant, c) !== id || !inputs.some((i) => i.by === 'vehicle') || plan.design.converters[id]?.trigger !== 'ignition wire') return [];
  const posts = (s: SettledState): number => s.batteries.find((b) => b.id === 'starting')?.volt ?? 0;
  const trigger = (situation: 'engine' | 'rest', sound: number): Probe => ({
    id: `${situation}.trigger:${id}`,
    what: `volts on the trigger wire at the ${name}`,
    meter: VOLT,
    unit: 'V',
    situation,
    minutes: AT_HAND_MIN,
    about: id,
    apart: true,
    modelShare: 0.02,
    read: (s, fault) => posts(s) * (fault.shows?.triggerShare?.[id] ?? sound),
  });
  return [trigger('engine', 1), trigger('rest', 0)];
}

/** What comes in and goes out of a charger while what feeds it gives, and what it holds at the end. */
function onFeed(plan: CircuitPlan, { ref: { id }, inputs, feeds }: Charger, name: string): Probe[] {
  const feed = plan.runs.find((r) => r.spec.role === 'charger feed' && r.spec.serves.id === id);
  const out = plan.runs.find((r) => givesBy(r, id));
  if (!feed) return [];
  const situation = inputs.some((i) => i.by === 'lead') ? 'mains' : 'engine';
  const volts = { meter: VOLT, unit: 'V', minutes: AT_HAND_MIN, about: id } as const;
  const current = { meter: CLAMP, unit: 'A', minutes: CLAMP_MIN, about: id, situation } as const;
  return [
    { ...volts, id: `${situation}.in-volts:${id}`, what: `volts at the input of the ${name}`, situation, read: (s) => at(s, feed.spec.id).toV },
    { ...current, id: `${situation}.in-amps:${id}`, what: `amps into the ${name}`, read: (s) => at(s, feed.spec.id).amp },
    ...(out ? [{ ...current, id: `${situation}.out-amps:${id}`, tells: 'what comes in' as const, what: `amps out of the ${name}`, read: (s: SettledState) => at(s, out.spec.id).amp }] : []),
    // What feeds another box has no bank to hold.
    ...(feeds.length
      ? []
      : [
          {
            ...volts,
            id: `full.volts:${id}`,
            tells: 'what it holds',
            what: `volts at the output of the ${name}`,
            situation: 'full',
            modelShare: 0.005,
            read: (s: SettledState) => giver(s, id).volt,
          } as const,
        ]),
  ];
}

/** Chargers with a DC input: in and out, trigger, and what they hold at the end. */
const onChargers = (plan: CircuitPlan): Probe[] =>
  withPort(plan.plant, 'dcIn').flatMap((c): Probe[] => {
    const name = plan.runs.find((r) => givesBy(r, c.ref.id))?.spec.from.name ?? c.part.name;
    return [...onFeed(plan, c, name), ...onTrigger(plan, c, name)];
  });

/** Panels at their plug with nothing joined, and what their regulator gives. */
function onSun(plan: CircuitPlan): Probe[] {
  const open = plan.plant.arrays
    .filter((a) => a.into?.in === 'converters')
    .map((a, n): Probe => ({
      id: `sun.open:${a.ref.id}`,
      what: `open-circuit volts of the ${a.portable ? 'portable panels' : n ? `panels ${n + 1}` : 'panels'}, parted from the regulator`,
      meter: VOLT,
      unit: 'V',
      situation: 'sun',
      minutes: AT_THE_ROOF_MIN,
      about: a.ref.id,
      apart: true,
      modelShare: OPEN_SHARE,
      read: (_, fault) => a.part.vocV * a.inSeries * (fault.shows?.openShare?.[a.ref.id] ?? 1),
    }));
  const regulators = [...new Set(plan.plant.arrays.flatMap((a) => (a.into?.in === 'converters' ? [a.into.id] : [])))];
  const given = regulators.map((id): Probe => {
    const out = plan.runs.find((r) => givesBy(r, id));
    return {
      id: `sun.amps:${id}`,
      tells: 'what comes in' as const,
      what: `amps out of the ${out?.spec.from.name ?? 'regulator'}`,
      meter: CLAMP,
      unit: 'A',
      situation: 'sun',
      minutes: CLAMP_MIN,
      about: id,
      modelShare: SUN_SHARE,
      read: (s) => (out ? at(s, out.spec.id).amp : giver(s, id).amp),
    };
  });
  return [...open, ...given];
}

const onMains = (plan: CircuitPlan): Probe[] =>
  fromInlet(plan.plant)
    .filter((c) => !c.ports.dcIn && !c.ports.mainsOut)
    .flatMap((c): Probe[] => {
      const out = plan.runs.find((r) => givesBy(r, c.ref.id));
      return out
        ? [
            {
              id: `mains.amps:${c.ref.id}`,
              tells: 'what comes in' as const,
              what: `amps out of the ${out.spec.from.name}`,
              meter: CLAMP,
              unit: 'A',
              situation: 'mains',
              minutes: CLAMP_MIN,
              about: c.ref.id,
              read: (s) => at(s, out.spec.id).amp,
            },
          ]
        : [];
    });

/** What keeps the starting battery up: amps into it once the bank has them to spare. */
const onMaintainers = (plan: CircuitPlan): Probe[] =>
  plan.runs
    .filter((r) => r.spec.role === 'maintainer output')
    .map(({ spec }): Probe => ({
      id: `kept.amps:${spec.serves.id}`,
      tells: 'what comes in' as const,
      what: `amps out of the ${spec.from.name}`,
      meter: CLAMP,
      unit: 'A',
      situation: 'kept',
      minutes: CLAMP_MIN,
      about: spec.serves.id,
      read: (s) => at(s, spec.id).amp,
    }));

/** Readings at what charges. */
export const probesOnBoxes = (plan: CircuitPlan): readonly Probe[] => [...onChargers(plan), ...onSun(plan), ...onMains(plan), ...onMaintainers(plan)];
