import type { Catalogue, DcIn } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { usualLead } from '../circuit/index.js';
import { stepLoad, plant, suppliesV, withPort, type Step } from '../plant/index.js';
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
  const ofEngine = (id: string, port: DcIn, share: number, chargeV: number): FedCharger[] => {
    const feed = runs.find((r) => serves(r, 'charger feed', id));
    if (!feed?.ok) return [];
    const { ohm } = feed.figures;
    const at = (state: string, sourceV: number): ChargerInput => chargerInput(port, share, chargeV, sourceV, ohm, state);
    // At its cut-out the volts are known at the charger, so the source stands higher by the feed's own drop.
    const most = chargerInput(port, share, chargeV, port.cutOutV, 0, 'lowest, at its cut-out', true);
    const atCutOut = { ...most, sourceV: port.cutOutV + most.inA * ohm, feedHeatW: most.inA * most.inA * ohm };
    return [at('cruising', v.cruiseV), at('idling, warm', v.warmIdleV), atCutOut].map((x) => ({ ...x, unit: id, name: feed.spec.to.name }));
  };
  const behind = (id: string, port: DcIn, share: number, step: Step): FedCharger[] => {
    const feed = runs.find((r) => serves(r, 'charger feed', id));
    return feed?.ok ? [{ ...chargerInput(port, share, bank.absorptionV, suppliesV(step.ports.dcIn), feed.figures.ohm, `behind the ${feed.spec.from.name}`), unit: id, name: feed.spec.to.name }] : [];
  };
  const driven = dcdcsOf(design, catalogue).flatMap(({ id, port, share, step }) => (step ? behind(id, port, share, step) : ofEngine(id, port, share, bank.absorptionV)));
  return [...stepsOnEngine(design, catalogue).flatMap(({ id, port, share }) => ofEngine(id, port, share, suppliesV(port))), ...driven, ...leads];
}

/** Boxes on the engine's side that feed other boxes, with the share of their output that those take. */
function stepsOnEngine(design: Design, catalogue: Catalogue): readonly { readonly id: string; readonly port: DcIn; readonly share: number }[] {
  const p = plant(design, catalogue);
  return withPort(p, 'dcIn')
    .filter((c) => c.feeds.length && c.inputs.some((i) => i.by === 'vehicle' && !i.through))
    .map((c) => {
      const { bringsW, takenW } = stepLoad(p, c);
      return { id: c.ref.id, port: c.ports.dcIn, share: c.share * Math.min(1, takenW / bringsW) };
    });
}
