import { assess, catalogueOf, DEMO_JOBS, type OrderLine, type PriceItem } from '@meridex/core';
import { keepCount } from '../stores/shelf.js';
import { keepList } from '../stores/lists.js';
import type { Tx } from '../db/client.js';

/** A made-up supplier, in no trade register. */
const SUPPLIER = 'Mallee Lane Electrical Wholesale';

/** All that the demo jobs want, each once. */
function wanted(): readonly OrderLine[] {
  const all = DEMO_JOBS.flatMap(({ design }) => assess(design, catalogueOf(design)).order.lines);
  return [...new Map(all.map((l) => [l.key, l])).values()];
}

/** As a wholesaler's program says it: in capitals, without spaces before units, for about what was planned. */
const itemOf = ({ what, priceEach }: OrderLine, i: number): PriceItem => ({
  code: `ML${1000 + i}`,
  what: what
    .toUpperCase()
    .replaceAll(' MM²', 'MM2')
    .replaceAll(/(\d) A\b/g, '$1A'),
  each: Math.max(0.05, Math.round(priceEach * (84 + ((i * 7) % 23))) / 100),
});

/** What a shed has lying about: blade fuses, small terminals, heat-shrink, labels; no devices. */
const lies = ({ key, group, priceEach }: OrderLine): boolean => (group === 'protection' || group === 'joints' || key === 'label') && priceEach < 5;

/** The demo's supplier, who has all but the sundries, and its shelf. */
export async function loadStores(tx: Tx, of: { readonly workshopId: string; readonly author: string }, on: string): Promise<void> {
  const lines = wanted();
  await keepList(tx, of, { id: crypto.randomUUID(), supplier: SUPPLIER, on, items: lines.filter((l) => l.group !== 'sundries').map(itemOf) });
  for (const [i, l] of lines.filter(lies).entries()) await keepCount(tx, { ...of, key: l.key }, { what: l.what, unit: l.unit, count: 3 + ((i * 11) % 38) });
}
