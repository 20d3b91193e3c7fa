import type { HttpTestingController, TestRequest } from '@angular/common/http/testing';

const TRIES = 400;
const STEP_MS = 10;

/** Waits until something is so, as long as a busy machine needs; a spec fails where it never is. */
export async function until(done: () => boolean, what = 'what is waited for'): Promise<void> {
  for (let n = 0; n < TRIES && !done(); n++) await new Promise((r) => setTimeout(r, STEP_MS));
  if (!done()) throw new Error(`${what} never came`);
}

/** Waits for what is asked of the server next. */
export async function askedOf(server: HttpTestingController, url: string, method: string): Promise<TestRequest> {
  for (let n = 0; n < TRIES; n++) {
    const found = server.match((r) => r.url === url && r.method === method);
    if (found.length) return found[0]!;
    await new Promise((r) => setTimeout(r, STEP_MS));
  }
  throw new Error(`nothing was sent to ${url}`);
}
