import type { Workshop } from '@meridex/contract';
import { settingsSchema, type Design } from '@meridex/core';
import { eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { workshops } from '../db/schema.js';

/** What a workshop says of itself, and how it works; rules null: the usual ones. */
export interface OwnWorkshop extends Workshop {
  readonly rules: Design['settings'] | null;
}

/** The workshop of the transaction, which sees no other. */
export async function ownWorkshop(tx: Tx): Promise<OwnWorkshop> {
  const [row] = await tx.select().from(workshops);
  const { address = '', phone = '', licence = '', logo = '', rules = null } = row!.settings;
  // Rules that were kept before a setting was there get its usual value.
  return { name: row!.name, address, phone, licence, logo, rules: rules && settingsSchema.parse(rules) };
}

export async function keepWorkshop(tx: Tx, workshopId: string, { name, ...settings }: OwnWorkshop): Promise<void> {
  await tx.update(workshops).set({ name, settings }).where(eq(workshops.id, workshopId));
}
