/**
 * What one user of the engine keeps from one pass over a design to the next: a page for the job it shows, a search for the
 * designs that it tries. Whoever gives none keeps nothing; nothing of a design is kept anywhere else.
 *
 * @example
 * new Session().of(Math.random, () => 1) // 1
 */
export class Session {
  private readonly kept = new Map<unknown, unknown>();

  /** What is kept under a key of one's own, made when it is first asked for. */
  of<T>(key: object, make: () => T): T {
    if (!this.kept.has(key)) this.kept.set(key, make());
    return this.kept.get(key) as T;
  }
}

/** A thing that every session has one of. */
export function inSession<T>(make: () => T): (session: Session) => T {
  return (session) => session.of(make, make);
}
