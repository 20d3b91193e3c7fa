import { z } from 'zod';
import { selectorsOf } from '../supply/index.js';
import { command, Refused } from './command.js';
import { lastOrder, partOf } from './things.js';

/** Name of the selector that the chargers give through. */
const CHARGING = 'charging';

/** A selector of their own for the chargers, so that one bank carries the loads while the other is charged; null: one selector for both again. */
export const chargingSelector = command({
  input: z.strictObject({ part: z.string().max(40).nullable() }),
  words: (i) => (i.part === null ? 'one selector for loads and chargers' : `a selector of their own for the chargers: ${i.part}`),
  change: (d, { part }, catalogue) => {
    const there = Object.entries(d.switchgear).find(([, s]) => s.does === 'charging selector')?.[0];
    if (part === null) {
      if (there) delete d.switchgear[there];
      return;
    }
    partOf(catalogue, ['switch'], part);
    const all = selectorsOf(catalogue);
    if (!all.some((p) => p.id === part)) throw new Refused(`part: ${part} has one position; ${all.map((p) => p.id).join(', ')} are accepted`);
    if (!Object.values(d.banks).some((b) => b.selector !== null))
      throw new Refused('part: there is one bank; a charging selector chooses between two, the second behind the loads’ selector (addBank with its selector)');
    if (there) d.switchgear[there]!.part = part;
    else d.switchgear[CHARGING] = { order: lastOrder(d.switchgear), name: '', does: 'charging selector', part, pole: 'positive' };
  },
});
