import type { CircuitPlan, SettledState } from '../circuit/index.js';
import { fromInlet, withPort } from '../plant/index.js';
import { at, AT_HAND_MIN, AT_THE_ROOF_MIN, CLAMP, CLAMP_MIN, giver, OPEN_SHARE, type Probe, SUN_SHARE, VOLT } from './probe.js';

/** Chargers from the vehicle: in and out, trigger, and what they hold at the end. */
function onChargers(plan: CircuitPlan): Probe[] {
  return withPort(plan.plant, 'dcIn').flatMap(({ ref, inputs, part }): Probe[] => {
    const { id } = ref;
    const feed = plan.runs.find((r) => r.spec.role === 'charger feed' && r.spec.serves.id === id);
    const out = plan.runs.find((r) => r.spec.role === 'charger output' && r.spec.serves.id === id);
    const name = out?.spec.from.name ?? part.name;
    const wired = inputs.some((i) => i.by === 'vehicle') && plan.design.converters[id]?.trigger === 'ignition wire';
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
    return [
      ...(feed
        ? [
            {
              id: `engine.in-volts:${id}`,
              what: `volts at the input of the ${name}`,
              meter: VOLT,
              unit: 'V' as const,
              situation: 'engine' as const,
              minutes: AT_HAND_MIN,
              about: id,
              read: (s: SettledState) => at(s, feed.spec.id).toV,
            },
            {
              id: `engine.in-amps:${id}`,
              what: `amps into the ${name}`,
              meter: CLAMP,
              unit: 'A' as const,
              situation: 'engine' as const,
              minutes: CLAMP_MIN,
              about: id,
              read: (s: SettledState) => at(s, feed.spec.id).amp,
            },
          ]
        : []),
      ...(out && feed
        ? [
            {
              id: `engine.out-amps:${id}`,
              tells: 'what comes in' as const,
              what: `amps out of the ${name}`,
              meter: CLAMP,
              unit: 'A' as const,
              situation: 'engine' as const,
              minutes: CLAMP_MIN,
              about: id,
              read: (s: SettledState) => at(s, out.spec.id).amp,
            },
          ]
        : []),
      ...(feed
        ? [
            {
              id: `full.volts:${id}`,
              tells: 'what it holds' as const,
              what: `volts at the output of the ${name}`,
              meter: VOLT,
              unit: 'V' as const,
              situation: 'full' as const,
              minutes: AT_HAND_MIN,
              about: id,
              modelShare: 0.005,
              read: (s: SettledState) => giver(s, id).volt,
            },
          ]
        : []),
      ...(wired ? [trigger('engine', 1), trigger('rest', 0)] : []),
    ];
  });
}

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
    const out = plan.runs.find((r) => r.spec.role === 'charger output' && r.spec.serves.id === id);
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
      const out = plan.runs.find((r) => r.spec.role === 'charger output' && r.spec.serves.id === c.ref.id);
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
