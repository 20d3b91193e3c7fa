import type { Design } from './schema.js';

/** What was bought is a fact, not a plan: a document that takes another one's place keeps what that had, vehicle by vehicle. */
export function keepBought(design: Design, now: Pick<Design, 'bought' | 'vehicles'>): void {
  design.bought = now.bought;
  for (const [id, v] of Object.entries(design.vehicles)) v.bought = now.vehicles[id]?.bought ?? {};
}
