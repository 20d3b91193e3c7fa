import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

export const hashPassword = (password: string): Promise<string> => hash(password);
export const passwordFits = (stored: string, typed: string): Promise<boolean> => verify(stored, typed);

/** A session's token, shown once to the browser, and the hash that is kept. */
export function newToken(): { readonly token: string; readonly tokenHash: string } {
  const token = randomBytes(32).toString('base64url');
  return { token, tokenHash: hashToken(token) };
}

export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
