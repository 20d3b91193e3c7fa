import type { Contact, Customer, CustomerJob, JobState } from '@meridex/contract';
import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { customers, jobs, vehicles } from '../db/schema.js';

/** All customers that have a job or a word of contact, by name. */
export async function customersOf(tx: Tx): Promise<Customer[]> {
  const all = await tx.select().from(customers).orderBy(asc(customers.name));
  const rows = await tx
    .select({ job: jobs, vehicleKind: vehicles.kind, plate: vehicles.plate })
    .from(jobs)
    .innerJoin(vehicles, eq(vehicles.id, jobs.vehicleId))
    .where(isNull(jobs.deletedAt))
    .orderBy(desc(jobs.createdAt));
  return all
    .map(({ id, name, phone, email, address, note }): Customer => ({
      id,
      name,
      phone,
      email,
      address,
      note,
      jobs: rows
        .filter(({ job }) => job.customerId === id && job.state !== 'template')
        .map(({ job, vehicleKind, plate }): CustomerJob => ({ id: job.id, state: job.state as JobState, promisedOn: job.promisedOn, openedAt: job.createdAt, vehicleKind, plate })),
    }))
    .filter((c) => c.jobs.length || c.phone || c.email || c.address || c.note);
}

/** Keeps how a customer is reached; false: there is none of that id in this workshop. */
export async function keepContact(tx: Tx, workshopId: string, id: string, contact: Contact): Promise<boolean> {
  const rows = await tx
    .update(customers)
    .set(contact)
    .where(and(eq(customers.id, id), eq(customers.workshopId, workshopId)))
    .returning({ id: customers.id });
  return rows.length > 0;
}
