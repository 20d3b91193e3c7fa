import type { Facts, Found, Rule } from './rule.js';

function parts({ design, catalogue }: Facts): Found[] {
  const { supply, brief } = design;
  const at = (about: string) => ({ stage: 'supply' as const, about });
  const out: Found[] = [];
  const inverter = catalogue.find('inverter', supply.inverter);
  if (inverter && inverter.inputV !== supply.houseV) out.push({ at: at('inverter'), values: { part: inverter.name, has: inverter.inputV, wants: supply.houseV } });
  const mains = catalogue.find('mains-charger', supply.mains.charger);
  if (mains && mains.outputV !== supply.houseV) out.push({ at: at('mains'), values: { part: mains.name, has: mains.outputV, wants: supply.houseV } });
  const dcdc = supply.isolation === 'dcdc' ? catalogue.find('dcdc', supply.dcdc) : null;
  if (dcdc && dcdc.inputV !== brief.vehicleV) out.push({ at: at('charger'), values: { part: `${dcdc.name}, input`, has: dcdc.inputV, wants: brief.vehicleV } });
  if (dcdc && dcdc.outputV !== supply.houseV) out.push({ at: at('charger'), values: { part: `${dcdc.name}, output`, has: dcdc.outputV, wants: supply.houseV } });
  return out;
}

export const wrongVolts: Rule = {
  id: 'wrong-volts',
  severity: 'stop',
  basis: 'volts of each part’s data sheet',
  why: 'A part on the wrong system volts does not work, or burns.',
  test: parts,
  say: (v) => `${v['part']} is for ${v['has']} V; here it meets ${v['wants']} V.`,
  fix: (v) => `Choose one for ${v['wants']} V, or change the system’s volts.`,
};
