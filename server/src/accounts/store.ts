import { and, eq, gt, sql } from 'drizzle-orm';
import type { Database } from '../db/client.js';
import { accounts, sessions, workshops } from '../db/schema.js';
import { hashPassword, hashToken, newToken, passwordFits } from './password.js';

/** Who is asking. */
export interface Person {
  readonly accountId: string;
  readonly workshopId: string;
  readonly name: string;
  readonly email: string;
  readonly role: string;
  readonly workshop: string;
}

export const SESSION_DAYS = 30;
/** Verified against when the address is unknown, so that the answer takes as long. */
const nobody = hashPassword(newToken().token);

async function personOf(db: Database, workshopId: string, accountId: string): Promise<Person | null> {
  return db.inWorkshop(workshopId, async (tx) => {
    const [row] = await tx.select({ account: accounts, workshop: workshops.name }).from(accounts).innerJoin(workshops, eq(workshops.id, accounts.workshopId)).where(eq(accounts.id, accountId));
    if (!row) return null;
    const { account } = row;
    return { accountId: account.id, workshopId: account.workshopId, name: account.name, email: account.email, role: account.role, workshop: row.workshop };
  });
}

/** Signs in; null when address and password do not belong together. */
export async function signIn(db: Database, email: string, password: string): Promise<{ readonly person: Person; readonly token: string } | null> {
  const address = email.trim().toLowerCase();
  const account = await db.withSetting('app.sign_in_email', address, async (tx) => (await tx.select().from(accounts).where(eq(accounts.email, address)))[0]);
  const fits = await passwordFits(account?.passwordHash ?? (await nobody), password);
  if (!account || !fits) return null;
  const { token, tokenHash } = newToken();
  await db.inWorkshop(account.workshopId, (tx) =>
    tx.insert(sessions).values({ tokenHash, workshopId: account.workshopId, accountId: account.id, expiresAt: new Date(Date.now() + SESSION_DAYS * 86_400_000).toISOString() }),
  );
  const person = await personOf(db, account.workshopId, account.id);
  return person && { person, token };
}

/** The person behind a token; null when it is unknown or has run out. */
export async function personByToken(db: Database, token: string): Promise<Person | null> {
  const tokenHash = hashToken(token);
  const session = await db.withSetting(
    'app.session_hash',
    tokenHash,
    async (tx) =>
      (
        await tx
          .select()
          .from(sessions)
          .where(and(eq(sessions.tokenHash, tokenHash), gt(sessions.expiresAt, sql`now()`)))
      )[0],
  );
  return session ? personOf(db, session.workshopId, session.accountId) : null;
}

export async function signOut(db: Database, person: Person, token: string): Promise<void> {
  await db.inWorkshop(person.workshopId, (tx) => tx.delete(sessions).where(eq(sessions.tokenHash, hashToken(token))));
}
