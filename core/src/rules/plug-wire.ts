import { PLUG_WIRE_MM2 } from '../routes/index.js';
import type { Rule } from './rule.js';

export const plugWire: Rule = {
  id: 'plug-wire',
  severity: 'look',
  harm: 'fire',
  basis: 'wire range of the plug’s contacts',
  why: 'A contact crimped on the wrong size pulls out.',
  test: ({ layout }) =>
    layout.pairs
      .filter((p) => p.areaMm2 !== null && (p.areaMm2 < PLUG_WIRE_MM2[p.kind][0] - 1e-9 || p.areaMm2 > PLUG_WIRE_MM2[p.kind][1] + 1e-9))
      .map((p) => ({ at: { stage: 'runs' as const, about: p.id }, values: { name: p.name, area: p.areaMm2!, from: PLUG_WIRE_MM2[p.kind][0], to: PLUG_WIRE_MM2[p.kind][1], kind: p.kind } })),
  say: (v) => `${v['name']}: ${v['area']} mm² on a ${v['kind']} plug, whose contacts take ${v['from']} to ${v['to']} mm².`,
  fix: (v) => (Number(v['area']) > Number(v['to']) ? 'A larger plug, or a short tail of what its contacts take.' : 'A smaller plug, or reducing sleeves by the plug’s maker.'),
};
