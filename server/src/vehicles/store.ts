import type { Vehicle } from '@meridex/core';
import { desc, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { ownVehicles } from '../db/schema.js';

export interface KeptVehicle {
  readonly id: string;
  readonly name: string;
  readonly author: string;
  readonly at: string;
}

const LISTED = { id: ownVehicles.id, name: ownVehicles.name, author: ownVehicles.author, at: ownVehicles.createdAt };

/** The workshop's vehicles, the newest of each name, by name. */
export async function keptVehicles(tx: Tx): Promise<KeptVehicle[]> {
  return tx.selectDistinctOn([ownVehicles.name], LISTED).from(ownVehicles).orderBy(ownVehicles.name, desc(ownVehicles.createdAt));
}

export async function keptVehicle(tx: Tx, id: string): Promise<Vehicle | null> {
  const [row] = await tx.select({ document: ownVehicles.document }).from(ownVehicles).where(eq(ownVehicles.id, id));
  return row?.document ?? null;
}

export async function keepVehicle(tx: Tx, kept: { readonly workshopId: string; readonly vehicle: Vehicle; readonly author: string }): Promise<KeptVehicle> {
  const [row] = await tx.insert(ownVehicles).values({ workshopId: kept.workshopId, name: kept.vehicle.name, document: kept.vehicle, author: kept.author }).returning(LISTED);
  return row!;
}
