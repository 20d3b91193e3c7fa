import { watchesOf } from '../catalogue/index.js';
import { type CircuitPlan, type CircuitState, PARKED, type SettledState } from '../circuit/index.js';
import { AT_HAND_MIN, CLAMP, CLAMP_MIN, giver, type Probe, SITUATIONS, SOUND, VOLT } from '../faults/index.js';
import { withPort } from '../plant/index.js';
import { givesBy } from '../routes/index.js';
import { monitorName } from '../supply/index.js';
import { meterTolerance, type Meter } from '../verdicts/index.js';

/** How things stand while it is read, with what one sees to first. */
export interface Stand {
  readonly id: string;
  readonly words: string;
  readonly state: CircuitState;
  readonly minutes: number;
  /** What else is to be written down, because a reading that falls short may rest on it. */
  readonly also: readonly ('charge' | 'sun')[];
}

const WELL_BELOW = ['charge'] as const;
/** In the order in which a rig is brought up: still, then each source alone, then held. */
export const STANDS: readonly Stand[] = [
  { id: 'rest', ...SITUATIONS.rest, also: [] },
  { id: 'loads', ...SITUATIONS.loads, also: [] },
  { id: 'idle', words: 'engine idling, loads off, bank well below full', state: { ...PARKED, engine: 'idle', loads: 'off' }, minutes: 1, also: WELL_BELOW },
  { id: 'engine', ...SITUATIONS.engine, also: WELL_BELOW },
  { id: 'sun', ...SITUATIONS.sun, also: ['charge', 'sun'] },
  { id: 'mains', ...SITUATIONS.mains, also: WELL_BELOW },
  { id: 'second', words: 'load selector on the second bank, all loads on, nothing charges', state: { ...PARKED, bank: 'second' }, minutes: 2, also: [] },
  {
    id: 'apart',
    words: 'charging selector on the bank that is not in use, engine on the road, in the sun, all loads on',
    state: { ...PARKED, charges: 'the other bank', engine: 'cruise', sun: 'full' },
    minutes: 3,
    also: ['charge', 'sun'],
  },
  { id: 'full', ...SITUATIONS.full, also: [] },
  { id: 'kept', ...SITUATIONS.kept, also: ['sun'] },
];

/** A reading of the plan: in one of the stands, from the sound rig. */
export interface PlanProbe extends Omit<Probe, 'situation' | 'read' | 'tolerance'> {
  readonly stand: string;
  readonly read: (s: SettledState) => number;
  readonly own?: ((s: SettledState) => number) | undefined;
  /** It holds a fitted meter against the one in hand. */
  readonly agreesWith?: true;
}

/** A battery's charge is not known before it is read: this much covers it from half to full, V a 12 V battery. */
const UNKNOWN_CHARGE_V = 0.5;
const NOMINAL_V = 12;
const unknownCharge = (volt: number): number => UNKNOWN_CHARGE_V * Math.max(1, Math.round(volt / NOMINAL_V));

/** A reading of the search as one of the plan. Volts at a bank's posts, still or loaded, rest on a charge that nobody knows yet. */
export function asPlanned({ situation, read, tolerance, ...p }: Probe): PlanProbe {
  const value = (s: SettledState): number => read(s, SOUND);
  const posts = p.unit === 'V' && (p.about === 'house' || p.about === 'starting') && (situation === 'rest' || situation === 'loads');
  return { ...p, stand: situation, read: value, own: posts ? (s) => unknownCharge(value(s)) : tolerance };
}

/** A shunt or a meter in the lead: what a clamp cannot see. */
const IN_THE_LEAD: Meter = { kind: 'shunt', absolute: 0.05 };
const PARKED_DRAW = 'pull fuses one at a time until it falls; what the last one feeds draws it';

/** What a panel meter is off by itself, V a 12 V battery: most of them have two digits. */
const PANEL_OFF_V = 0.1;

/** Meters that show volts, held against the voltmeter at the very posts that they read: their sense leads are right or not. */
const metersOn = ({ plant, bank, design }: CircuitPlan): PlanProbe[] =>
  plant.monitors.flatMap((m): PlanProbe[] => {
    const reads = m.part && watchesOf(m.part).reads(m.part);
    if (!m.measures || (reads !== 'volts' && reads !== 'volts and amps')) return [];
    const what = m.measures.in === 'loads' ? (design.loads[m.measures.id]?.name ?? 'load') : 'battery';
    return [
      {
        id: `loads.meter:${m.ref.id}`,
        what: `volts that the ${monitorName(m)} shows, less what the voltmeter shows at the posts of the ${what}`,
        meter: VOLT,
        unit: 'V',
        stand: 'loads',
        minutes: AT_HAND_MIN,
        about: m.ref.id,
        read: () => 0,
        agreesWith: true,
        own: () => Math.hypot(meterTolerance(VOLT, bank.nominalV), PANEL_OFF_V * bank.inSeries),
      },
    ];
  });

const gives = (s: SettledState, gear: string): number => s.batteries.filter((b) => b.gear === gear).reduce((sum, b) => sum + b.amp, 0);

/** A second bank: that it carries the loads when it is turned to, and that what is given goes where the charging selector stands. */
function secondProbes({ plant, second, inline, runs }: CircuitPlan): readonly PlanProbe[] {
  const of = plant.banks.find((b) => b.selected)?.ref.id;
  const first = plant.banks.find((b) => !b.selected)?.ref.id;
  if (!second || of === undefined || first === undefined) return [];
  const lead = (id: string, what: string, stand: string, about: string, read: PlanProbe['read']): PlanProbe => ({ id, what, meter: CLAMP, unit: 'A', stand, minutes: CLAMP_MIN, about, read });
  const volt = (s: SettledState): number => s.batteries.find((b) => b.gear === of)?.volt ?? 0;
  const charges = inline.some((p) => p.id === 'charging') && (runs.some((r) => r.spec.from.ref.in === 'vehicles') || plant.arrays.length > 0);
  return [
    {
      id: `second.volts:${of}`,
      what: 'volts at the posts of the second bank',
      meter: VOLT,
      unit: 'V',
      stand: 'second',
      minutes: AT_HAND_MIN,
      about: of,
      read: volt,
      own: (s) => unknownCharge(volt(s)),
    },
    lead(`second.amps:${of}`, 'amps out of the second bank, in its lead', 'second', of, (s) => gives(s, of)),
    lead(`second.amps:${first}`, 'amps out of the first bank, in its lead', 'second', first, (s) => gives(s, first)),
    ...(charges
      ? [
          lead(`apart.amps:${of}`, 'amps into the second bank, in its lead', 'apart', of, (s) => -gives(s, of)),
          lead(`apart.amps:${first}`, 'amps out of the first bank, in its lead', 'apart', first, (s) => gives(s, first)),
        ]
      : []),
  ];
}

/** What only a plan asks for: the draw while parked, the alternator at idle, what a charger gives on its own. */
export function moreProbes(plan: CircuitPlan): readonly PlanProbe[] {
  const engine = plan.runs.some((r) => r.spec.from.ref.in === 'vehicles');
  const out = (s: SettledState): number => s.batteries.filter((b) => b.string !== null).reduce((sum, b) => sum + b.amp, 0);
  const draw: PlanProbe = { id: 'rest.draw', what: 'amps out of the house bank, in its lead', meter: IN_THE_LEAD, unit: 'A', stand: 'rest', minutes: CLAMP_MIN, about: 'house', read: out };
  const idle: PlanProbe = {
    id: 'idle.volts:starting',
    what: 'volts at the posts of the starting battery',
    meter: VOLT,
    unit: 'V',
    stand: 'idle',
    minutes: AT_HAND_MIN,
    about: 'starting',
    apart: true,
    modelShare: 0.02,
    read: (s) => s.batteries.find((b) => b.id === 'starting')?.volt ?? 0,
  };
  const chargers = withPort(plan.plant, 'dcIn')
    .filter((c) => c.inputs.some((i) => i.by === 'vehicle' || i.by === 'lead'))
    .map((c): PlanProbe => {
      const stand = c.inputs.some((i) => i.by === 'lead') ? 'mains' : 'engine';
      const name = plan.runs.find((r) => givesBy(r, c.ref.id))?.spec.from.name ?? c.part.name;
      return {
        id: `${stand}.out-volts:${c.ref.id}`,
        what: `volts out of the ${name}`,
        meter: VOLT,
        unit: 'V',
        stand,
        minutes: AT_HAND_MIN,
        about: c.ref.id,
        modelShare: 0.02,
        read: (s) => giver(s, c.ref.id).volt,
      };
    });
  return [draw, ...metersOn(plan), ...secondProbes(plan), ...(engine ? [idle] : []), ...chargers];
}

/** Where to look first when a reading is off, by what it is. */
export function lookFor(p: PlanProbe): string | undefined {
  if (p.id === 'rest.draw') return PARKED_DRAW;
  if (p.tells === 'what comes in') return 'in “Find the fault” this reading is already known; it says what to measure next';
  if (p.tells === 'what it holds') return 'is the profile the battery’s, and the bank nearly full?';
  if (p.stand === 'rest' && p.about !== 'house' && p.about !== 'starting') return 'with the ignition off this wire must be dead: take another feed';
  if (p.agreesWith) return 'its sense lead: the very posts, both poles, its fuse; then the meter itself';
  if (p.stand === 'second') return 'does the selector stand on the second bank, and do its leads end at its own contact?';
  if (p.stand === 'apart') return 'the charging selector: its contacts the wrong way round, or a charger that gives past it';
  if (p.stand === 'loads' && p.unit === 'A') return 'is every load on that was entered, and nothing else?';
  if (p.stand === 'rest') return 'is the battery rested, charged and alone?';
  if (p.about === 'starting') return 'alternator, its belt and its own lead, before anything of this rig';
  return 'joints and fuses on its way first, each with the meter across it';
}
