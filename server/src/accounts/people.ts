import type { Colleague, Join, Role, SetUp, SignedIn } from '@meridex/contract';
import { and, asc, desc, eq, isNull, gt, ne, sql } from 'drizzle-orm';
import type { Database, Tx } from '../db/client.js';
import { accounts, installation, invites, sessions, workshops } from '../db/schema.js';
import { hashPassword, hashToken, newToken, passwordFits } from './password.js';
import { type Credentials, openSession, type Person } from './store.js';

const INVITE_DAYS = 7;

/** What somebody is signed in from. */
type Seen = Pick<Credentials, 'browser'>;

/** What was asked, or why it cannot be, in words with the answer's status. */
export type Done<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly status: 403 | 404 | 409 | 422; readonly message: string };
const done = <T>(value: T): Done<T> => ({ ok: true, value });
const refused = (status: 403 | 404 | 409 | 422, message: string): Done<never> => ({ ok: false, status, message });

const UNIQUE = '23505';
/** True of an error of PostgreSQL that says that a value is there already. */
function isTaken(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = e.cause) if ((e as { code?: unknown }).code === UNIQUE) return true;
  return false;
}
const TAKEN = 'email: this address has an account already; sign in by it, or take another one.';

/** True until the first workshop is made. */
export const isEmpty = (db: Database): Promise<boolean> => db.outside(async (tx) => (await tx.select().from(installation)).length === 0);

/** True where the demo's account is there and may sign in. */
export const hasAccount = (db: Database, email: string): Promise<boolean> =>
  db.withSetting(
    'app.sign_in_email',
    email,
    async (tx) =>
      (
        await tx
          .select({ id: accounts.id })
          .from(accounts)
          .where(and(eq(accounts.email, email), isNull(accounts.endedAt)))
      ).length === 1,
  );

async function addAccount(tx: Tx, workshopId: string, role: Role, who: Join & Seen): Promise<string> {
  const [row] = await tx
    .insert(accounts)
    .values({ workshopId, email: who.email.trim().toLowerCase(), name: who.name, role, passwordHash: await hashPassword(who.password) })
    .returning({ id: accounts.id });
  return openSession(tx, { workshopId, accountId: row!.id, browser: who.browser });
}

/** The first workshop of an installation with its owner, who is signed in: the session's token. Two first visitors at once: one of them is told. */
export async function setUp(db: Database, asked: SetUp & Seen): Promise<Done<string>> {
  const workshopId = crypto.randomUUID();
  try {
    const token = await db.inWorkshop(workshopId, async (tx) => {
      await tx.insert(installation).values({});
      await tx.insert(workshops).values({ id: workshopId, name: asked.workshop });
      return addAccount(tx, workshopId, 'owner', asked);
    });
    return done(token);
  } catch (error) {
    if (isTaken(error)) return refused(409, 'There is a workshop here already: sign in, or ask its owner for an invitation.');
    throw error;
  }
}

/** A link's token for somebody who is to join with a role. */
export async function invite(tx: Tx, by: Person, role: Role): Promise<{ readonly token: string; readonly expiresAt: string }> {
  const { token, tokenHash } = newToken();
  const expiresAt = new Date(Date.now() + INVITE_DAYS * 86_400_000).toISOString();
  await tx.insert(invites).values({ tokenHash, workshopId: by.workshopId, role, author: by.name, expiresAt });
  return { token, expiresAt };
}

/** The invitation behind a token while it holds. */
async function openInvite(db: Database, token: string): Promise<typeof invites.$inferSelect | undefined> {
  const tokenHash = hashToken(token);
  return db.withSetting(
    'app.invite_hash',
    tokenHash,
    async (tx) =>
      (
        await tx
          .select()
          .from(invites)
          .where(and(eq(invites.tokenHash, tokenHash), isNull(invites.usedAt), gt(invites.expiresAt, sql`now()`)))
      )[0],
  );
}

const OVER = 'This invitation has been used or has run out: ask for another one.';

/** Where an invitation leads. */
export async function invitation(db: Database, token: string): Promise<Done<{ readonly workshop: string; readonly role: string; readonly by: string }>> {
  const found = await openInvite(db, token);
  if (!found) return refused(404, OVER);
  const [workshop] = await db.inWorkshop(found.workshopId, (tx) => tx.select({ name: workshops.name }).from(workshops));
  return done({ workshop: workshop!.name, role: found.role, by: found.author });
}

/** Somebody joins by an invitation, once, and is signed in. */
export async function join(db: Database, token: string, who: Join & Seen): Promise<Done<string>> {
  const found = await openInvite(db, token);
  if (!found) return refused(404, OVER);
  try {
    return await db.inWorkshop(found.workshopId, async (tx) => {
      const used = await tx
        .update(invites)
        .set({ usedAt: sql`now()` })
        .where(and(eq(invites.tokenHash, found.tokenHash), isNull(invites.usedAt)))
        .returning({ role: invites.role });
      return used.length ? done(await addAccount(tx, found.workshopId, used[0]!.role as Role, who)) : refused(404, OVER);
    });
  } catch (error) {
    if (isTaken(error)) return refused(409, TAKEN);
    throw error;
  }
}

/** Everybody of the workshop, in the order in which they came. */
export async function colleagues(tx: Tx, you: Person): Promise<Colleague[]> {
  const rows = await tx
    .select({
      id: accounts.id,
      name: accounts.name,
      email: accounts.email,
      role: accounts.role,
      endedAt: accounts.endedAt,
      sessions: sql<number>`count(${sessions.tokenHash}) filter (where ${sessions.expiresAt} > now())::int`,
    })
    .from(accounts)
    .leftJoin(sessions, eq(sessions.accountId, accounts.id))
    .groupBy(accounts.id)
    .orderBy(asc(accounts.createdAt));
  return rows.map(({ endedAt, ...r }) => ({ ...r, ended: endedAt !== null, you: r.id === you.accountId }));
}

/** Another role, or an end of access; the last owner who may still sign in stays one. */
export async function changePerson(tx: Tx, id: string, change: { readonly role?: Role | undefined; readonly ended?: boolean | undefined }): Promise<Done<null>> {
  // One change of people at a time, so that two owners cannot take the role from one another.
  const all = await tx.select().from(accounts).for('update');
  const row = all.find((a) => a.id === id);
  if (!row) return refused(404, 'Nobody of this workshop has this id.');
  const stays = (change.role ?? row.role) === 'owner' && !(change.ended ?? row.endedAt !== null);
  if (!stays && !all.some((a) => a.id !== id && a.role === 'owner' && a.endedAt === null)) return refused(422, 'A workshop keeps one owner at least: make somebody else one first.');
  const endedAt = change.ended === undefined ? row.endedAt : change.ended ? new Date().toISOString() : null;
  await tx
    .update(accounts)
    .set({ role: change.role ?? row.role, endedAt })
    .where(eq(accounts.id, id));
  if (change.ended) await tx.delete(sessions).where(eq(sessions.accountId, id));
  return done(null);
}

/** A new password given by the owner; whoever was signed in by the old one is signed out. */
export async function resetPassword(tx: Tx, id: string, password: string): Promise<Done<null>> {
  const rows = await tx
    .update(accounts)
    .set({ passwordHash: await hashPassword(password) })
    .where(eq(accounts.id, id))
    .returning({ id: accounts.id });
  if (!rows.length) return refused(404, 'Nobody of this workshop has this id.');
  await tx.delete(sessions).where(eq(sessions.accountId, id));
  return done(null);
}

/** One's own new password; every other browser is signed out. */
export async function changePassword(tx: Tx, you: Person, token: string, asked: { readonly old: string; readonly password: string }): Promise<Done<null>> {
  const [row] = await tx.select().from(accounts).where(eq(accounts.id, you.accountId));
  if (!row || !(await passwordFits(row.passwordHash, asked.old))) return refused(422, 'old: this is not the password that you sign in with.');
  await tx
    .update(accounts)
    .set({ passwordHash: await hashPassword(asked.password) })
    .where(eq(accounts.id, you.accountId));
  await tx.delete(sessions).where(and(eq(sessions.accountId, you.accountId), ne(sessions.tokenHash, hashToken(token))));
  return done(null);
}

/** Signs somebody out everywhere; of one's own sessions the one that asks stays. */
export async function endSessions(tx: Tx, id: string, keepToken: string): Promise<void> {
  await tx.delete(sessions).where(and(eq(sessions.accountId, id), ne(sessions.tokenHash, hashToken(keepToken))));
}

/** Letters of a session's hash that name it in one's own list. */
const ID_LETTERS = 16;

/** Where one is signed in, the latest first. */
export async function ownSessions(tx: Tx, you: Person, token: string): Promise<SignedIn[]> {
  const rows = await tx
    .select()
    .from(sessions)
    .where(and(eq(sessions.accountId, you.accountId), gt(sessions.expiresAt, sql`now()`)))
    .orderBy(desc(sessions.createdAt));
  const here = hashToken(token);
  return rows.map((s) => ({ id: s.tokenHash.slice(0, ID_LETTERS), browser: s.browser, since: s.createdAt, until: s.expiresAt, here: s.tokenHash === here }));
}

/** Ends one of one's own sessions. */
export async function endSession(tx: Tx, you: Person, id: string): Promise<Done<null>> {
  const ended = await tx
    .delete(sessions)
    .where(and(eq(sessions.accountId, you.accountId), sql`left(${sessions.tokenHash}, ${ID_LETTERS}) = ${id}`))
    .returning({ of: sessions.accountId });
  return ended.length ? done(null) : refused(404, 'You are not signed in there any more.');
}
