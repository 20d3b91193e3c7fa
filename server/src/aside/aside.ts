import { availableParallelism } from 'node:os';
import { Tinypool } from 'tinypool';

/** Longest that one answer may take, waiting in line too, ms. */
export const MOST_MS = 60_000;

let pool: Tinypool | null = null;
/** Threads are made when they are first wanted; one is always ready from then on. */
const threads = (): Tinypool => (pool ??= new Tinypool({ runtime: 'worker_threads', minThreads: 1, maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)), idleTimeout: 60_000 }));

/** Said in place of an answer that did not come in time; what worked on it was ended. */
export class TookTooLong extends Error {
  readonly statusCode = 503;
  constructor(mostMs: number) {
    super(`This took longer than ${mostMs / 1000} s and was ended, so that everybody else goes on. Ask again; if it does so every time, the job is too large for one answer.`);
  }
}

/**
 * Work of more than some milliseconds, done in a thread of its own, so that the server goes on answering meanwhile.
 * `file` is the URL of a module whose default export does it; what goes in and comes out is copied.
 */
export function aside<In, Out>(file: URL, mostMs = MOST_MS): (asked: In) => Promise<Out> {
  // A server that runs from its sources, as in specs, has what was built of them in its threads: those know no other loader.
  const filename = file.href.replace('/server/src/', '/server/dist/');
  return async (asked) => {
    const signal = AbortSignal.timeout(mostMs);
    try {
      return (await threads().run(asked, { filename, signal })) as Out;
    } catch (error) {
      throw signal.aborted ? new TookTooLong(mostMs) : error;
    }
  };
}
