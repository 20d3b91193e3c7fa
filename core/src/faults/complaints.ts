import { sentence } from '../quantity/index.js';
import type { CircuitPlan } from '../circuit/index.js';
import type { Fault } from './fault.js';
import type { Probe } from './probe.js';
import type { Situation } from './situations.js';

/** What the customer says, and how to tell whether a fault would make it so. */
export interface Complaint {
  readonly id: string;
  readonly words: string;
  /** By what each probe reads when sound and under a fault. */
  readonly explains: (fault: Fault, read: (probe: string) => { readonly sound: number; readonly now: number } | null) => boolean;
}

/** Of its volts, below which an appliance does nothing; and below which it is felt. */
const DEAD = 0.55;
const DIM = 0.95;
/** Share of the amps that should come in, below which a source is missed. */
const NO_SOURCE = 0.4;
const LITTLE = 0.8;

type Read = Parameters<Complaint['explains']>[1];
const below = (read: Read, probes: readonly string[], share: number): boolean =>
  probes.some((id) => {
    const r = read(id);
    return r !== null && r.sound > 0 && r.now < share * r.sound;
  });

/** Low enough to be felt, and not so low that nothing runs. */
const felt = (read: Read, probes: readonly string[]): boolean => probes.some((id) => below(read, [id], DIM) && !below(read, [id], DEAD));

/** Complaints that a rig can give rise to. */
export function complaintsOf(plan: CircuitPlan, probes: readonly Probe[]): readonly Complaint[] {
  const told = (tells: NonNullable<Probe['tells']>, situation?: Situation): string[] =>
    probes.filter((p) => p.tells === tells && (situation === undefined || p.situation === situation)).map((p) => p.id);
  const loads = plan.runs.filter((r) => r.spec.role === 'load feed').map((r) => ({ id: r.spec.id, load: r.spec.serves.id, gear: r.spec.to.gear, name: r.spec.to.name }));
  const volts = loads.map((l) => `loads.volts:${l.id}`);
  const source = (id: string, words: string, amps: readonly string[]): Complaint[] => (amps.length ? [{ id, words, explains: (_, read) => below(read, amps, NO_SOURCE) }] : []);
  const inverter = plan.runs.filter((r) => r.spec.role === 'inverter feed').map((r) => ({ volts: `loads.volts:${r.spec.id}`, gear: r.spec.to.gear }));
  return [
    ...loads.map(({ id, gear, name }): Complaint => ({
      id: `dead:${id}`,
      words: `${sentence(name)} does nothing`,
      explains: (f, read) => f.change.drawsNothing?.includes(gear) === true || below(read, [`loads.volts:${id}`], DEAD),
    })),
    ...(inverter.length
      ? [
          {
            id: 'no-230',
            words: 'No 230 V from the inverter',
            explains: (f: Fault, read: Read) =>
              inverter.some((i) => f.change.drawsNothing?.includes(i.gear)) ||
              below(
                read,
                inverter.map((i) => i.volts),
                0.85,
              ),
          },
        ]
      : []),
    { id: 'dark', words: 'Everything is dark', explains: (_, read) => volts.length > 0 && volts.every((v) => below(read, [v], DEAD)) },
    { id: 'dim', words: 'Dim, slow, or cuts out under load', explains: (_, read) => felt(read, [...volts, ...inverter.map((i) => i.volts), ...told('the bank', 'loads')]) },
    {
      id: 'never-full',
      words: 'The bank never gets full',
      explains: (f, read) => below(read, told('what comes in'), LITTLE) || below(read, told('what it holds'), 0.99) || f.change.battery !== undefined,
    },
    ...source('no-engine', 'Nothing comes in on the road', told('what comes in', 'engine')),
    ...source('no-sun', 'Volts at the panel, but no charge from the sun', told('what comes in', 'sun')),
    ...source('no-mains', 'Nothing comes in on mains', told('what comes in', 'mains')),
    {
      id: 'flat-after-standing',
      words: 'Flat after standing',
      explains: (f) => f.change.battery !== undefined || Object.values(f.change.trigger ?? {}).includes('always live') || f.change.isolator === 'closed',
    },
    { id: 'display', words: 'The display does not agree with the battery', explains: (f) => f.shows?.unseen !== undefined || f.change.battery !== undefined },
  ];
}
