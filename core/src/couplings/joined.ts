import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import { couplingsOf, vehicleIds, type Design } from '../design/index.js';
import { wholeRigTrip, type RigBankResult, type RigTrip, type WholeRigTrip } from '../rig-trip/index.js';
import { chargeSelector, joinedTrip, loadsSelector, secondId } from './trip.js';

/** A bank of a joined trip: whose it is, and which of two behind a selector. */
export interface JoinedBank {
  /** As in the trip’s answer. */
  readonly id: string;
  readonly vehicle: string;
  readonly which: 'only' | 'first' | 'second';
  /** What sun, engine and plugs bring to it over the whole trip, Ah. */
  readonly broughtAh: Readonly<Record<'sun' | 'engine' | 'plug', number>>;
}

/** A joined trip with the watt-hours that each lead carries, reckoned at the taking bank’s charging volts, whose each bank is, and how often each vehicle’s selectors are turned. */
export interface JoinedResult extends WholeRigTrip {
  readonly leadWh: Readonly<Record<string, number>>;
  readonly banks: readonly JoinedBank[];
  /** By vehicle, of those with two banks; `charging` is null where loads and chargers share a selector. */
  readonly turned: Readonly<Record<string, { readonly loads: number; readonly charging: number | null }>>;
}

/** What sources of each sort bring to a bank, Ah. */
function broughtTo(rig: RigTrip, { sourceAh }: RigBankResult): JoinedBank['broughtAh'] {
  const from = (list: readonly { readonly id: string }[]): number => list.reduce((sum, { id }) => sum + (sourceAh[id] ?? []).reduce((s, ah) => s + ah, 0), 0);
  return { sun: from(rig.arrays), engine: from(rig.vehicles), plug: from(rig.inlets) + from(rig.banks) };
}

/** What all banks of a job go through on its trip together; null while no bank is there. */
export function simulateJoined(job: Design, catalogue: Catalogue): JoinedResult | null {
  const rig = joinedTrip(job, catalogue);
  if (!rig) return null;
  const whole = wholeRigTrip(rig);
  const leadWh = Object.fromEntries(
    couplingsOf(job).flatMap(([id]) => {
      const input = rig.chargers.find((c) => c.id === id)?.inputs[0];
      const bank = rig.banks.find((b) => b.id === job.couplings[id]!.to);
      if (!input || !('chargerEfficiency' in input) || !bank) return [];
      const ah = whole.result.chargers[id]!.outAh.reduce((s, x) => s + x, 0);
      return [[id, (ah * CHEMISTRY[bank.chemistry].absorptionV * (bank.nominalV / 12)) / input.chargerEfficiency] as const];
    }),
  );
  const ids = new Set(rig.banks.map((b) => b.id));
  const vehicles = vehicleIds(job).filter((id) => ids.has(id));
  const two = vehicles.filter((id) => ids.has(secondId(id)));
  return {
    ...whole,
    leadWh,
    banks: vehicles.flatMap((vehicle) => {
      const bank = (id: string, which: JoinedBank['which']): JoinedBank => ({ id, vehicle, which, broughtAh: broughtTo(rig, whole.result.banks[id]!) });
      return two.includes(vehicle) ? [bank(vehicle, 'first'), bank(secondId(vehicle), 'second')] : [bank(vehicle, 'only')];
    }),
    turned: Object.fromEntries(two.map((id) => [id, { loads: whole.turns[loadsSelector(id)]!, charging: whole.turns[chargeSelector(id)] ?? null }])),
  };
}
