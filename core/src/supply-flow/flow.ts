import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import { byTurns, dayOf } from './by-turns.js';
import { charging } from './charging.js';
import { mean, pluggedAh } from './given.js';
import type { SupplyFlow } from './picture.js';
import { storing, using } from './using.js';

/**
 * A supply on its trip as boxes and ribbons: sources at the left, what converts, the banks, what they feed; each ribbon as
 * wide as the Ah a day that pass there in the month's mean weather, by the same trip as everywhere else.
 */
export function supplyFlow(design: Design, catalogue: Catalogue, a: Assessment): SupplyFlow {
  const p = plant(design, catalogue);
  const plugged = pluggedAh({ design, catalogue, a });
  const parts = [charging(design, catalogue, a, p), storing(a, p), using(design, catalogue, a, p)];
  const turns = byTurns(design, catalogue, a, p);
  const all = parts.flatMap((x) => x.flows);
  const flows = turns?.flows(all) ?? all;
  const passes = (id: string): boolean => flows.some((f) => f.ahDay > 0 && (f.from === id || f.to === id));
  const { trip } = a;
  const low = trip && a.supply.bank ? { soc: trip.minSoc, day: dayOf(trip.minSocAtH), reserve: 1 - a.supply.bank.usableShare } : null;
  return {
    things: parts.flatMap((x) => x.things).map((t) => ({ ...t, idle: !passes(t.id) })),
    flows,
    sums: { engine: mean(trip?.alternatorAh ?? []), sun: mean(trip?.sunAh ?? []), mains: plugged.mains, lead: [...plugged.leads.values()].reduce((s, ah) => s + ah, 0), use: mean(trip?.loadAh ?? []) },
    low,
    lows: turns?.lows ?? (low ? Object.fromEntries(p.banks.map((b) => [b.ref.id, low])) : {}),
  };
}
