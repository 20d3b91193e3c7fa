import type { CircuitPlan, SettledState } from '../circuit/index.js';
import { fuseOhm } from '../protection/index.js';
import { givesBy, type Fitted } from '../routes/index.js';
import type { Fault } from './fault.js';
import { at, AT_HAND_MIN, CLAMP, CLAMP_MIN, LEAST_A, type Probe, TO_A_LOAD_MIN, VOLT } from './probe.js';

/** A run that loads hang on: volts at its end, volts lost in its return, volts lost in its return, volts across its fuse, amps in it. */
function onRun(r: Fitted): Probe[] {
  const { spec, figures } = r;
  const { id } = spec;
  const ends = spec.role === 'load feed';
  const end = spec.to.name;
  const ohm = fuseOhm(figures.fuseType, figures.fuseA);
  const fuse = figures.fuseType === 'breaker' ? 'breaker' : 'fuse';
  const across = (s: SettledState, fault: Fault): number => (fault.shows?.blown === id ? at(s, id).fromV : Math.abs(at(s, id).amp) * ohm);
  return [
    { id: `loads.volts:${id}`, what: `volts at the ${end}`, meter: VOLT, unit: 'V', situation: 'loads', minutes: ends ? TO_A_LOAD_MIN : AT_HAND_MIN, about: id, read: (s) => at(s, id).toV },
    // A bank's lead ends at the bars themselves: its return is lost on the way from the post.
    {
      id: `loads.return:${id}`,
      what: `volts from the negative of the ${spec.role === 'bank lead' ? spec.from.name : end} to the negative bar`,
      meter: VOLT,
      unit: 'V',
      situation: 'loads',
      minutes: ends ? TO_A_LOAD_MIN : AT_HAND_MIN,
      about: id,
      read: (s) => Math.abs((s.solved.nodeVolt[spec.role === 'bank lead' ? spec.from.minus : spec.to.minus] ?? 0) - (s.solved.nodeVolt['bus-'] ?? 0)),
    },
    ...(spec.ends.length
      ? [{ id: `loads.fuse:${id}`, what: `volts across the ${fuse} of ${spec.name}`, meter: VOLT, unit: 'V' as const, situation: 'loads' as const, minutes: AT_HAND_MIN, about: id, read: across }]
      : []),
    ...(spec.usualA >= LEAST_A
      ? [
          {
            id: `loads.amps:${id}`,
            what: `amps in the feed of ${spec.name}`,
            meter: CLAMP,
            unit: 'A' as const,
            situation: 'loads' as const,
            minutes: CLAMP_MIN,
            about: id,
            read: (s: SettledState) => at(s, id).amp,
          },
        ]
      : []),
  ];
}

/** What gives into the bank: volts lost on its way there while it gives. */
function onOutputs(plan: CircuitPlan): Probe[] {
  const { converters } = plan.plant;
  return plan.runs
    .filter((r) => givesBy(r, r.spec.from.ref.id) || r.spec.role === 'charger output')
    .flatMap(({ spec }): Probe[] => {
      const box = converters.find((c) => c.ref.id === spec.from.ref.id) ?? converters.find((c) => c.ref.id === spec.serves.id);
      const by = box?.inputs.some((i) => i.by === 'vehicle')
        ? 'engine'
        : box?.inputs.some((i) => i.by === 'array')
          ? 'sun'
          : box?.inputs.some((i) => i.by === 'inlet' || i.by === 'lead')
            ? 'mains'
            : null;
      return by
        ? [
            {
              id: `${by}.lost:${spec.id}`,
              what: `volts lost from the ${spec.from.name} to the ${spec.to.name}, feed and return`,
              meter: VOLT,
              unit: 'V',
              situation: by,
              minutes: CLAMP_MIN,
              about: spec.id,
              read: (s) => at(s, spec.id).fromV - at(s, spec.id).toV,
            },
          ]
        : [];
    });
}

/** A link: volts on its two sides, amps through it. */
const onLinks = (plan: CircuitPlan): Probe[] =>
  plan.runs
    .filter((r) => r.spec.role === 'link')
    .flatMap(({ spec }): Probe[] =>
      (['engine', 'rest'] as const).map((situation): Probe => ({
        id: `${situation}.link:${spec.id}`,
        ...(situation === 'engine' ? { tells: 'what comes in' as const } : {}),
        what: `volts on the house side of the isolator`,
        meter: VOLT,
        unit: 'V',
        situation,
        minutes: AT_HAND_MIN,
        about: spec.id,
        modelShare: 0.02,
        read: (s) => at(s, spec.id).fromV,
      })),
    );

const UNDER_LOAD: ReadonlySet<string> = new Set(['bank lead', 'block feed', 'group feed', 'inverter feed', 'load feed']);

/** Readings on the ways by which the bank is charged. */
export const probesOnWays = (plan: CircuitPlan): readonly Probe[] => [...onOutputs(plan), ...onLinks(plan)];

/** Readings along the runs. */
export const probesOnRuns = (plan: CircuitPlan): readonly Probe[] => [...plan.runs.filter((r) => UNDER_LOAD.has(r.spec.role)).flatMap(onRun), ...probesOnWays(plan)];
