import type { Design } from '@meridex/core';
import { eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { customers, jobs, vehicles } from '../db/schema.js';

/** A customer of the workshop by name, entered in the register when new. */
export async function customerId(tx: Tx, workshopId: string, name: string): Promise<string> {
  const [row] = await tx
    .insert(customers)
    .values({ workshopId, name })
    .onConflictDoUpdate({ target: [customers.workshopId, customers.name], set: { name } })
    .returning({ id: customers.id });
  return row!.id;
}

/**
 * Keeps the register of customers and vehicles in step with a job's brief. The design is the truth; the register is for
 * finding people and plates across jobs.
 */
export async function keepRegister(tx: Tx, jobId: string, design: Design): Promise<void> {
  const [job] = await tx.select().from(jobs).where(eq(jobs.id, jobId));
  if (!job) return;
  const { customer, vehicleKind, plate } = design.brief;
  const owner = await customerId(tx, job.workshopId, customer || 'no name yet');
  await tx.update(vehicles).set({ kind: vehicleKind, plate, customerId: owner }).where(eq(vehicles.id, job.vehicleId));
  if (owner !== job.customerId) await tx.update(jobs).set({ customerId: owner }).where(eq(jobs.id, jobId));
}
