import { plant, withPort, type ConverterThing, type Plant } from '../plant/index.js';
import type { Facts, Found, Rule } from './rule.js';

/** Volts that a converter is made for, and those that it meets there. */
function meets(
  { ports: { bankV, dcIn, startOut }, inputs, charges, draws, keeps }: ConverterThing,
  p: Plant,
  houseV: number,
): readonly { readonly side: string; readonly has: number; readonly wants: number }[] {
  const before = dcIn && withPort(p, 'dcIn').find((x) => inputs.some((i) => i.through?.id === x.ref.id));
  const vehicle = dcIn && p.vehicles.find((v) => inputs.some((i) => !i.through && i.ref.id === v.ref.id));
  const lead = dcIn && p.dcInlets.find((l) => inputs.some((i) => !i.through && i.ref.id === l.ref.id));
  return [
    ...(before ? [{ side: ', input', has: dcIn.inputV, wants: before.ports.dcIn.outputV }] : []),
    ...(lead ? [{ side: ', input', has: dcIn.inputV, wants: lead.nominalV }] : []),
    ...(vehicle ? [{ side: ', input', has: dcIn.inputV, wants: vehicle.nominalV }] : []),
    ...(startOut && keeps ? p.vehicles.filter((v) => v.ref.id === keeps.id).map((v) => ({ side: ', output', has: startOut.outputV, wants: v.nominalV })) : []),
    ...(bankV !== null && (charges ?? draws) ? [{ side: dcIn ? ', output' : '', has: bankV, wants: houseV }] : []),
  ];
}

function parts({ design, catalogue }: Facts): Found[] {
  const p = plant(design, catalogue);
  return p.converters.flatMap((c) =>
    meets(c, p, design.supply.houseV)
      .filter(({ has, wants }) => has !== wants)
      .map(({ side, has, wants }): Found => ({ at: { stage: 'supply', about: c.ref.id }, values: { part: `${c.part.name}${side}`, has, wants } })),
  );
}

export const wrongVolts: Rule = {
  id: 'wrong-volts',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'volts of each part’s data sheet',
  why: 'A part on the wrong system volts does not work, or burns.',
  test: parts,
  say: (v) => `${v['part']} is for ${v['has']} V; here it meets ${v['wants']} V.`,
  fix: (v) => `Choose one for ${v['wants']} V, or change the system’s volts.`,
};
