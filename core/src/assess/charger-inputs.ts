import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { usualLead } from '../circuit/index.js';
import { serves, type SizedRun } from '../routes/index.js';
import { chargerInput, dcdcsOf, driveVolts, leadChargersOf, type Bank, type ChargerInput, type FedCharger } from '../supply/index.js';

/** Every charger at the end of its sized feed: cruising, idling warm, and at its cut-out, where it draws most; on a lead with the other bank well filled, and low. */
export function chargerInputs(design: Design, catalogue: Catalogue, bank: Bank | null, runs: readonly SizedRun[]): readonly FedCharger[] {
  if (!bank) return [];
  const v = driveVolts(design);
  const leads = leadChargersOf(design, catalogue).flatMap(({ id, port, share, from }): FedCharger[] => {
    const feed = runs.find((r) => serves(r, 'charger feed', id));
    const nominalV = design.inlets[from.id]?.dc?.nominalV;
    if (!feed?.ok || nominalV === undefined) return [];
    const { volt, ohm } = usualLead(nominalV, 'typical');
    const at = (state: string, sourceV: number): FedCharger => ({
      ...chargerInput(port, share, bank.absorptionV, sourceV, feed.figures.ohm + ohm, state),
      unit: id,
      name: feed.spec.to.name,
    });
    return [at('on the lead', volt), at('on the lead, the other bank low', usualLead(nominalV, 'smallest').volt)];
  });
  const driven = dcdcsOf(design, catalogue).flatMap(({ id, port, share }): FedCharger[] => {
    const feed = runs.find((r) => serves(r, 'charger feed', id));
    if (!feed?.ok) return [];
    const { ohm } = feed.figures;
    const at = (state: string, sourceV: number): ChargerInput => chargerInput(port, share, bank.absorptionV, sourceV, ohm, state);
    // At its cut-out the volts are known at the charger, so the source stands higher by the feed's own drop.
    const most = chargerInput(port, share, bank.absorptionV, port.cutOutV, 0, 'lowest, at its cut-out', true);
    const atCutOut = { ...most, sourceV: port.cutOutV + most.inA * ohm, feedHeatW: most.inA * most.inA * ohm };
    return [at('cruising', v.cruiseV), at('idling, warm', v.warmIdleV), atCutOut].map((x) => ({ ...x, unit: id, name: feed.spec.to.name }));
  });
  return [...driven, ...leads];
}
