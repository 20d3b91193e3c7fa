const UNKEEPABLE = /[\p{Surrogate}\0]/gu;

/**
 * A value without the characters that no database keeps: NUL, and halves of characters as a cut paste leaves them.
 *
 * @example
 * clean({ note: 'a\u0000b' }).note // 'ab'
 */
export function clean<T>(value: T): T {
  if (typeof value === 'string') return value.replace(UNKEEPABLE, '') as T;
  if (Array.isArray(value)) return value.map((v: unknown) => clean(v)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [clean(key), clean(v as unknown)])) as T;
}
