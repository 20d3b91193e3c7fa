import { and, eq, gt, lt, sql } from 'drizzle-orm';
import type { Database, Tx } from '../db/client.js';
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
    if (!row || row.account.endedAt !== null) return null;
    const { account } = row;
    return { accountId: account.id, workshopId: account.workshopId, name: account.name, email: account.email, role: account.role, workshop: row.workshop };
  });
}

export interface Credentials {
  readonly email: string;
  readonly password: string;
  /** What it is signed in from, as one's list of sessions shows it. */
  readonly browser: string;
}

/** Signs in; null when address and password do not belong together. */
export async function signIn(db: Database, { email, password, browser }: Credentials): Promise<{ readonly person: Person; readonly token: string } | null> {
  const address = email.trim().toLowerCase();
  const account = await db.withSetting('app.sign_in_email', address, async (tx) => (await tx.select().from(accounts).where(eq(accounts.email, address)))[0]);
  const fits = await passwordFits(account?.passwordHash ?? (await nobody), password);
  if (!account || account.endedAt !== null || !fits) return null;
  const token = await db.inWorkshop(account.workshopId, (tx) => openSession(tx, { workshopId: account.workshopId, accountId: account.id, browser }));
  const person = await personOf(db, account.workshopId, account.id);
  return person && { person, token };
}

/** A new session's token; those of the account that have run out are cleared by the way. */
export async function openSession(tx: Tx, of: Pick<typeof sessions.$inferInsert, 'workshopId' | 'accountId' | 'browser'>): Promise<string> {
  const { token, tokenHash } = newToken();
  await tx.delete(sessions).where(and(eq(sessions.accountId, of.accountId), lt(sessions.expiresAt, sql`now()`)));
  await tx.insert(sessions).values({ tokenHash, ...of, expiresAt: new Date(Date.now() + SESSION_DAYS * 86_400_000).toISOString() });
  return token;
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
