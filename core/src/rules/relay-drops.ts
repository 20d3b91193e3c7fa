import { watchesOf } from '../catalogue/index.js';
import { plant } from '../plant/index.js';
import { monitorName } from '../supply/index.js';
import { offTheContact } from './press.js';
import type { Found, Rule } from './rule.js';

export const relayDrops: Rule = {
  id: 'relay-drops',
  severity: 'look',
  harm: 'people',
  basis: 'how a unit’s contacts stand when it dies, of its data sheet',
  why: 'A dead display must not warm the medicine or release the brakes: what must not go off hangs on no contact that opens by itself.',
  test: ({ design, catalogue }) =>
    plant(design, catalogue).monitors.flatMap((m): Found[] => {
      const outputs = m.part && watchesOf(m.part).outputs(m.part);
      if (outputs?.failsTo !== 'off') return [];
      return m.switches.flatMap((l): Found[] => {
        const load = design.loads[l.id]!;
        return load.critical ? [{ at: { stage: 'supply', about: `${m.ref.id}:${l.id}` }, values: { name: monitorName(m), load: load.name, unit: m.ref.id, of: l.id } }] : [];
      });
    }),
  presses: ({ values: v }, { design }) => [offTheContact(design, String(v['unit']), String(v['of']), String(v['name']))],
  say: (v) => `The ${v['load']} must not go off, and goes off when the ${v['name']} dies.`,
  fix: () => 'A way of its own without a contact, or a unit whose contacts stay closed.',
};
