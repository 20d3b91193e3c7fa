import type { Catalogue } from '../catalogue/index.js';
import { dropIdleSelectors, panelId, type Design } from '../design/index.js';
import { freeStep, takesSun } from './hang.js';
import { collectionOf } from './things.js';

/** What a person placed, typed and marked of a thing goes with it. */
function forget(d: Design, id: string, panels: number): void {
  for (let i = 0; i < Math.max(1, panels); i++) delete d.places[panelId(i, id)];
  for (const run of [`start-${id}`, `${id}-bus`, `${id}-regulator`, `bus-${id}`, `${id}-start`]) delete d.runs[run];
  delete d.plugs[`plug-${id}`];
}

/**
 * Takes a thing of the rig out of a draft: panels of a controller go to the charger that takes panels, else lie
 * unregulated until they are hung anew; converters and links of a bank go to another bank, else with it.
 */
export function takeOut(d: Design, id: string, catalogue: Catalogue): void {
  const where = collectionOf(d, id);
  if (!where) return;
  forget(d, id, d.arrays[id]?.count ?? 0);
  const gone = d.converters[id];
  delete d[where][id];
  if (gone?.from?.in === 'converters') freeStep(d, gone.from.id, gone.bank);
  const other = Object.keys(d.banks)[0] ?? null;
  const taking = Object.entries(d.converters).find(([, c]) => c.bank !== null && takesSun(catalogue, c))?.[0];
  const taker = taking === undefined ? null : ({ in: 'converters', id: taking } as const);
  for (const a of Object.values(d.arrays)) if (a.into?.id === id) a.into = where === 'banks' && other ? { in: 'banks', id: other } : taker;
  for (const c of Object.values(d.converters)) {
    // What a box fed hangs on what fed the box.
    if (c.from?.id === id) c.from = gone?.bank === null ? gone.from : null;
    if (c.inlet === id) c.inlet = null;
    if (c.bank === id) c.bank = other;
  }
  for (const [key, l] of Object.entries(d.links))
    if (l.bank === id) {
      if (other) l.bank = other;
      else delete d.links[key];
    }
  for (const l of Object.values(d.loads)) {
    if (l.feed.by === 'own' && l.feed.on === id) l.feed = { by: 'own' };
    if (l.inverter === id) delete l.inverter;
  }
  for (const b of Object.values(d.banks)) if (b.selector === id) b.selector = null;
  dropIdleSelectors(d);
  for (const [key, m] of Object.entries(d.monitors)) if (m.measures === id) delete d.monitors[key];
}
