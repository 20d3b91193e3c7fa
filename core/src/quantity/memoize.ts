import { klona } from 'klona/json';
import { dequal } from 'dequal/lite';

/**
 * A pure function whose results are kept by the content of what it was asked, so that what stays the same from edit to
 * edit is worked out once. Holds at most so many and then begins anew.
 * @example memoize(100, String, Math.sqrt)(9) // 3
 */
export function memoize<I, R>(most: number, keyOf: (input: I) => string, work: (input: I) => R): (input: I) => R {
  const known = new Map<string, R>();
  return (input) => {
    const key = keyOf(input);
    const there = known.get(key);
    if (there !== undefined) return there;
    if (known.size >= most) known.clear();
    const made = work(input);
    known.set(key, made);
    return made;
  };
}

/** The same for what also hangs on one object, which must not change: results go when it goes. */
export function memoizeFor<O extends object, I, R>(most: number, keyOf: (input: I) => string, work: (owner: O, input: I) => R): (owner: O, input: I) => R {
  const known = new WeakMap<O, (input: I) => R>();
  return (owner, input) => {
    let of = known.get(owner);
    if (!of) known.set(owner, (of = memoize(most, keyOf, (x: I) => work(owner, x))));
    return of(input);
  };
}

/**
 * The same for what hangs on much: of the last few askings all that matters is kept as a copy, and met again by being
 * equal, which is quicker than writing it into a key.
 */
export function keepLastFor<O extends object, I, R>(most: number, mattersOf: (input: I) => unknown, work: (owner: O, input: I) => R): (owner: O, input: I) => R {
  const known = new WeakMap<O, readonly { readonly matters: unknown; readonly made: R }[]>();
  return (owner, input) => {
    const kept = known.get(owner) ?? [];
    const matters = mattersOf(input);
    const there = kept.find((k) => dequal(k.matters, matters));
    if (there) return there.made;
    const made = work(owner, input);
    known.set(owner, [{ matters: klona(matters), made }, ...kept].slice(0, most));
    return made;
  };
}
