import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { serves, type SizedRun } from '../routes/index.js';
import { chargerInput, dcdcsOf, driveVolts, type Bank, type ChargerInput } from '../supply/index.js';

/** The charger at the end of its sized feed: cruising, idling warm, and at its cut-out, where it draws most. */
export function chargerInputs(design: Design, catalogue: Catalogue, bank: Bank | null, runs: readonly SizedRun[]): readonly ChargerInput[] {
  const charger = dcdcsOf(design, catalogue)[0];
  const feed = charger && runs.find((r) => serves(r, 'charger feed', charger.id));
  if (!charger || !bank || !feed?.ok) return [];
  const v = driveVolts(design);
  const { ohm } = feed.figures;
  const at = (state: string, sourceV: number): ChargerInput => chargerInput(charger.part, charger.share, bank.absorptionV, sourceV, ohm, state);
  // At its cut-out the volts are known at the charger, so the source stands higher by the feed's own drop.
  const most = chargerInput(charger.part, charger.share, bank.absorptionV, charger.part.cutOutV, 0, 'lowest, at its cut-out');
  const atCutOut = { ...most, sourceV: charger.part.cutOutV + most.inA * ohm, feedHeatW: most.inA * most.inA * ohm };
  return [at('cruising', v.cruiseV), at('idling, warm', v.warmIdleV), atCutOut];
}
