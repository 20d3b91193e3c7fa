import type { Design } from './schema.js';

/** What was bought, and what suppliers ask, are facts, not a plan: a document that takes another one's place keeps what that had, vehicle by vehicle. */
export function keepBought(design: Design, now: Pick<Design, 'bought' | 'prices' | 'vehicles'>): void {
  design.bought = now.bought;
  design.prices = now.prices;
  for (const [id, v] of Object.entries(design.vehicles)) {
    v.bought = now.vehicles[id]?.bought ?? {};
    v.prices = now.vehicles[id]?.prices ?? {};
  }
}
