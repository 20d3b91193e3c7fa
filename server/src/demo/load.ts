import { assess, blankDesign, DEMO_JOBS, DEMO_RULES, catalogueOf, type DemoJob, type ProveRow, type ShopWeek, testPlan, usualShop } from '@meridex/core';
import { drizzle } from 'drizzle-orm/node-postgres';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import { DEMO } from './account.js';
import { loadStores } from './stores.js';
import { hashPassword } from '../accounts/password.js';
import type { Tx } from '../db/client.js';
import * as schema from '../db/schema.js';
import { customerId } from '../jobs/register.js';
import { createJob } from '../jobs/store.js';
import { keepContact } from '../customers/store.js';
import { keepReading } from '../readings/store.js';
import { keepTick } from '../ticks/store.js';
import { keepWeek } from '../week/store.js';

export { DEMO } from './account.js';
const DAY_MS = 86_400_000;
const dayIn = (days: number): string => new Date(Date.now() + days * DAY_MS).toISOString().slice(0, 10);

/** A made-up reading: what the model expects, a little off as meters are, or far off where the story wants a fault; well within what has a most. */
function madeUp({ expected, atMost }: ProveRow, index: number, faulty: boolean): number {
  if (atMost) return Math.round(expected * 6) / 10;
  const wobble = [0.01, -0.02, 0.015, -0.01][index % 4]!;
  return Math.round((expected + wobble - (faulty ? 0.71 : 0)) * 100) / 100;
}

async function loadJob(tx: Tx, workshopId: string, demo: DemoJob): Promise<void> {
  const promisedOn = dayIn(demo.promisedInDays);
  const careFrom = demo.leftDaysAgo === undefined ? null : dayIn(-demo.leftDaysAgo);
  const design = { ...demo.design, brief: { ...demo.design.brief, careFrom } };
  const jobId = await createJob(tx, workshopId, DEMO.name, { customer: design.brief.customer, promisedOn, design, state: demo.state, note: demo.note });
  const a = assess(demo.design, catalogueOf(demo.design));
  for (const step of a.fit.slice(0, Math.floor(demo.tickedShare * a.fit.length))) await keepTick(tx, workshopId, jobId, { id: crypto.randomUUID(), stepId: step.id, done: true, author: DEMO.name });
  if (demo.readings === 'none') return;
  const faultyAt = demo.readings === 'one off' ? a.prove.findIndex((r) => /pump/.test(r.where)) : -1;
  const plan = testPlan(demo.design, catalogueOf(demo.design))?.groups.flatMap((g) => g.rows) ?? [];
  for (const [i, row] of [...a.prove, ...plan].entries()) {
    await keepReading(tx, workshopId, jobId, { id: crypto.randomUUID(), rowId: row.id, value: madeUp(row, i, i === faultyAt), unit: row.unit, revision: 1, author: DEMO.name });
  }
}

/** Two bays, two people, and the days of the licensed electrician. */
const demoWeek = (): ShopWeek => ({
  ...usualShop(DEMO.name),
  bays: ['Front bay', 'Yard'],
  people: [
    { id: 'lead', name: DEMO.name, skill: 'senior', away: [] },
    { id: 'hand', name: 'Wren', skill: 'any', away: [] },
  ],
  licensedOn: [2, 3, 4, 8, 9, 10].map(dayIn),
});

/** Loads the demo workshop into an empty installation; where any workshop is there it changes nothing. True when it was loaded. */
export async function loadDemo(ownerUrl: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    return await drizzle(client, { schema }).transaction(async (tx) => {
      if ((await tx.select().from(schema.installation)).length) return false;
      await tx.insert(schema.installation).values({});
      const [workshop] = await tx
        .insert(schema.workshops)
        .values({ name: DEMO.workshop, settings: { ...DEMO.says, rules: { ...blankDesign('').settings, ...DEMO_RULES } } })
        .returning();
      const workshopId = workshop!.id;
      await tx.execute(sql`select set_config('app.workshop_id', ${workshopId}, true)`);
      await tx.insert(schema.accounts).values({ workshopId, email: DEMO.email, name: DEMO.name, role: 'owner', passwordHash: await hashPassword(DEMO.password) });
      for (const [n, demo] of DEMO_JOBS.entries()) {
        await loadJob(tx, workshopId, demo);
        await keepContact(tx, workshopId, await customerId(tx, workshopId, demo.design.brief.customer), { phone: `0000 555 ${120 + n}`, email: '', address: '', note: '' });
      }
      await loadStores(tx, { workshopId, author: DEMO.name }, dayIn(-12));
      await keepWeek(tx, workshopId, DEMO.name, demoWeek(), 0);
      return true;
    });
  } finally {
    await client.end();
  }
}
