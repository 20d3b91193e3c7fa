import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { SizedRun } from '../routes/index.js';
import { chargersOf, sharing, type Charger, type SupplyFigures } from '../supply/index.js';

/** The run that brings each charger's output to the bus bars. */
const OUTPUT: Readonly<Record<Charger['id'], string>> = { vehicle: 'charger-bus', 'vehicle-2': 'charger2-bus', mains: 'mains-bus', sun: 'controller-bus' };
/** Charge at which chargers are seen together: neither holds back yet. */
const HALF = 0.5;
/** A lead without a size, ohm. */
const PLAIN_OHM = 0.006;

/** The supply with its chargers sharing the bank through their own sized leads. */
export function withLeads(supply: SupplyFigures, design: Design, catalogue: Catalogue, runs: readonly SizedRun[]): SupplyFigures {
  const { bank, array } = supply;
  if (!bank || !supply.sharing.length) return supply;
  const ohmOf = (c: Charger): number => {
    const run = runs.find((r) => r.spec.id === OUTPUT[c.id]);
    return run?.ok ? run.figures.ohm : PLAIN_OHM;
  };
  return { ...supply, sharing: sharing(bank, HALF, chargersOf(design, catalogue, bank, array), ohmOf) };
}
