import { watchesOf } from '../catalogue/index.js';
import { plant } from '../plant/index.js';
import { monitorName } from '../supply/index.js';
import { offTheContact, press } from './press.js';
import type { Found, Rule } from './rule.js';

export const relayOutputs: Rule = {
  id: 'relay-outputs',
  severity: 'stop',
  harm: 'the plan',
  basis: 'outputs of each part’s data sheet; one contact a load',
  why: 'A load without a contact of its own is switched by nothing, and one with two by whichever closes.',
  test: ({ design, catalogue }) => {
    const units = plant(design, catalogue).monitors.filter((m) => m.part);
    const taken = new Set<string>();
    return units.flatMap((m): Found[] => {
      const has = watchesOf(m.part!).outputs(m.part!)?.count ?? 0;
      const twice = m.switches.filter((l) => taken.has(l.id));
      for (const l of m.switches) taken.add(l.id);
      const name = monitorName(m);
      return [
        ...(m.switches.length > has ? [{ at: { stage: 'supply' as const, about: m.ref.id }, values: { name, loads: m.switches.length, has, unit: m.ref.id } }] : []),
        ...twice.map((l): Found => ({ at: { stage: 'supply', about: `${m.ref.id}:${l.id}` }, values: { name, load: design.loads[l.id]!.name, loads: 0, has: 0, unit: m.ref.id, of: l.id } })),
      ];
    });
  },
  presses: ({ values: v }, { design }) => [
    v['of'] === undefined
      ? press(design, `Keep the first ${v['has']}`, (d) => void d.monitors[String(v['unit'])]!.switches.splice(Number(v['has'])))
      : offTheContact(design, String(v['unit']), String(v['of']), String(v['name'])),
  ],
  say: (v) => (v['load'] === undefined ? `The ${v['name']} is to switch ${v['loads']} loads and has ${v['has']} outputs.` : `Two contacts switch the ${v['load']}, one of them of the ${v['name']}.`),
  fix: () => 'A unit with more outputs, or fewer loads on it.',
};
