import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const folder = fileURLToPath(new URL('../../vectors/', import.meta.url));

export interface VectorCase {
  readonly name: string;
  readonly formula?: string;
  readonly input: Record<string, unknown>;
  readonly expect: unknown;
}

export interface VectorFile {
  readonly tolerance: { readonly relative?: number; readonly absolute?: number };
  readonly cases: readonly VectorCase[];
}

export function vectorFile(name: string): VectorFile {
  return JSON.parse(readFileSync(folder + name, 'utf8')) as VectorFile;
}

export function networkVectors(): Record<string, unknown>[] {
  return readdirSync(folder + 'network')
    .filter((f) => f.endsWith('.json'))
    .map((f) => JSON.parse(readFileSync(`${folder}network/${f}`, 'utf8')) as Record<string, unknown>);
}

/** Paths of `got` that differ from `want` by more than the tolerance; null in `want` stands for never. */
export function differences(got: unknown, want: unknown, tolerance: VectorFile['tolerance'], path = 'result'): string[] {
  if (typeof want === 'number') {
    const near = Math.max((tolerance.relative ?? 0) * Math.abs(want), tolerance.absolute ?? 0);
    return typeof got === 'number' && Math.abs(got - want) <= near ? [] : [`${path}: got ${String(got)}, want ${want}`];
  }
  if (want === null) return got === null || got === Infinity ? [] : [`${path}: got ${String(got)}, want never`];
  if (typeof want === 'object') {
    const inside = got as Record<string, unknown> | undefined;
    if (Array.isArray(want) && (!Array.isArray(got) || got.length !== want.length)) return [`${path}: got ${JSON.stringify(got)}, want ${want.length} of them`];
    return Object.entries(want).flatMap(([key, value]) => differences(inside?.[key], value, tolerance, `${path}.${key}`));
  }
  return got === want ? [] : [`${path}: got ${String(got)}, want ${String(want)}`];
}
