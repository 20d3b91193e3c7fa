import { z } from 'zod';
import { ROLES } from './roles.js';

/** Letters that a password has at least, and at most. */
export const PASSWORD_LETTERS = { least: 10, most: 200 } as const;

export const roleSchema = z.enum(ROLES, { message: `one of ${ROLES.join(', ')} is accepted` });
const name = z.string().trim().min(1, { message: 'a name is accepted' }).max(80, { message: 'up to 80 letters are accepted' });
const email = z.email({ message: 'an address such as mia@workshop.example is accepted' }).max(200);
const password = z
  .string()
  .min(PASSWORD_LETTERS.least, { message: `${PASSWORD_LETTERS.least} letters or more are accepted` })
  .max(PASSWORD_LETTERS.most, { message: `up to ${PASSWORD_LETTERS.most} letters are accepted` });

/** What the first visitor of an empty installation says. */
export const setUpSchema = z.object({ workshop: name, name, email, password });
export type SetUp = z.infer<typeof setUpSchema>;

/** What somebody who was invited says. */
export const joinSchema = z.object({ name, email, password });
export type Join = z.infer<typeof joinSchema>;

export const newPasswordSchema = z.object({ old: z.string().max(PASSWORD_LETTERS.most), password });
export const resetSchema = z.object({ password });
export const changePersonSchema = z.object({ role: roleSchema.optional(), ended: z.boolean().optional() });

export const personSchema = z.object({ name: z.string(), email: z.string(), role: z.string(), workshop: z.string() });
export type Person = z.infer<typeof personSchema>;

/** Somebody of the workshop, as the list of people shows them. */
export const colleagueSchema = z.object({ id: z.string(), name: z.string(), email: z.string(), role: z.string(), ended: z.boolean(), sessions: z.number(), you: z.boolean() });
export type Colleague = z.infer<typeof colleagueSchema>;

/** A browser in which one is signed in. */
export const signedInSchema = z.object({ id: z.string(), browser: z.string(), since: z.string(), until: z.string(), here: z.boolean() });
export type SignedIn = z.infer<typeof signedInSchema>;

/** How an installation stands before anybody is signed in. */
export const standingSchema = z.object({
  /** Nobody has made a workshop yet: the first visitor may. */
  empty: z.boolean(),
  /** The address of the made-up workshop's owner, where the demo is there; null: it is not. */
  demo: z.string().nullable(),
});
export type Standing = z.infer<typeof standingSchema>;
