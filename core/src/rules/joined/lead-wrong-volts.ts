import { press } from '../press.js';
import type { JoinedRule } from './joint.js';

export const leadWrongVolts: JoinedRule = {
  id: 'lead-wrong-volts',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'volts of the bank that gives against those that the inlet and its charger are made for',
  why: 'A charger for 12 V on a 24 V bank burns; one for 24 V on 12 V never starts.',
  test: ({ leads }) =>
    leads
      .filter((l) => !l.gives && l.volts && l.volts.gives !== l.volts.takes)
      .map((l) => ({ at: { stage: 'supply', about: l.inlet ?? l.id }, values: { other: l.other, gives: l.volts!.gives, takes: l.volts!.takes } })),
  presses: ({ at, values: v }, { design }) => {
    const volts = v['gives'] === 24 ? 24 : 12;
    return at.about !== undefined && design.inlets[at.about]?.dc ? [press(design, `Plan the inlet for ${volts} V`, (d) => (d.inlets[at.about!]!.dc!.nominalV = volts))] : [];
  },
  say: (v) => `The bank of the ${v['other']} has ${v['gives']} V; its lead goes into an inlet for ${v['takes']} V.`,
  fix: (v) => `An inlet and a charger for ${v['gives']} V, or no lead.`,
};
