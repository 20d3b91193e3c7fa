import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import { serves, type SizedRun } from '../routes/index.js';
import { chargersOf, sharing, togetherOf, type Charger, type SupplyFigures } from '../supply/index.js';

/** Charge at which chargers are seen together: neither holds back yet. */
const HALF = 0.5;
/** A lead without a size, ohm. */
const PLAIN_OHM = 0.006;

/** The supply with its chargers sharing the bank through their own sized leads. */
export function withLeads(supply: SupplyFigures, design: Design, catalogue: Catalogue, runs: readonly SizedRun[]): SupplyFigures {
  const { bank, arrays } = supply;
  if (!bank || !supply.sharing.length) return supply;
  const inside = new Set(plant(design, catalogue).converters.flatMap((x) => (x.inside ? [x.ref.id] : [])));
  const ohmOf = (c: Charger): number => {
    if (inside.has(c.unit)) return 0;
    const run = runs.find((r) => serves(r, 'charger output', c.unit));
    return run?.ok ? run.figures.ohm : PLAIN_OHM;
  };
  const shares = sharing(bank, HALF, chargersOf(design, catalogue, bank, arrays), ohmOf);
  return { ...supply, sharing: shares, together: togetherOf(bank, shares) };
}
