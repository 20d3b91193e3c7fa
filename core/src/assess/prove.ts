import { restV, type Catalogue } from '../catalogue/index.js';
import { designCircuit, feeders, hasMain, type InlinePart } from '../circuit/index.js';
import type { Design } from '../design/index.js';
import { BATTERY_ROW, proveRows, type ProveRow } from '../prove/index.js';
import { FIRST_BANK } from '../plant/index.js';
import { bankPosts, inCircuit, isSecondLead, type SizedRun } from '../routes/index.js';
import { bankOf } from '../supply/index.js';

/** State of charge that a bank is taken to have while nobody has measured it. */
const TAKEN_SOC = 0.8;

/**
 * Readings to take, with their expected values. `readings` are the latest by row id: the battery's own, once typed,
 * moves all the others.
 */
export function provePlan(design: Design, catalogue: Catalogue, runs: readonly SizedRun[], inline: readonly InlinePart[], readings: Readonly<Record<string, number>>): ProveRow[] {
  const bank = bankOf(design, catalogue);
  const fitted = runs.map(inCircuit);
  if (!bank || !hasMain(fitted)) return [];
  const typed = readings[BATTERY_ROW];
  const usual = restV(bank.part.chemistry, TAKEN_SOC) * bank.inSeries;
  const sensible = typed !== undefined && typed > 0.8 * usual && typed < 1.25 * usual;
  const rest = sensible ? typed : usual;
  const house = fitted.filter((r) => (r.spec.group === 'house' || r.spec.group === 'loads') && !isSecondLead(r));
  const ids = new Set(house.map((r) => r.spec.id));
  const joined = house.filter((r) => feeders(r.spec).every((f) => ids.has(f)));
  const strings = Array.from({ length: bank.strings }, (_, i) => i + 1);
  const circuit = designCircuit(joined, design, bank, inline, { extreme: 'typical', strings, startingBattery: false, alternatorV: null, isolatorClosed: false });
  const sources = circuit.sources.map((s) => ({ ...s, volt: rest }));
  return proveRows(joined, { circuit: { ...circuit, sources }, restV: rest, ...bankPosts(FIRST_BANK.id, bank.strings > 1 ? 1 : null), meters: design.settings.meters }, sensible);
}
