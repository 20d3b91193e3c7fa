import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import * as answers from '../index.js';
import * as heat from '../places/heat.js';
import * as settle from '../trip/settle.js';
import { differences } from './vectors.js';

const SRC = fileURLToPath(new URL('..', import.meta.url));

interface Example {
  readonly file: string;
  readonly code: string;
  readonly want: string;
}

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    const path = join(folder, e.name);
    if (e.isDirectory()) return sources(path);
    return e.name.endsWith('.ts') && !e.name.endsWith('.spec.ts') ? [path] : [];
  });
}

/** `@example call(…) // value` in the doc comments of core. */
function examples(): Example[] {
  return sources(SRC).flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?:\s*\*\/)?$/gm)].map(([, code, want]) => ({ file: file.slice(SRC.length), code: code!, want: want!.trim() })),
  );
}

const SCOPE: Readonly<Record<string, unknown>> = { ...answers, ...heat, ...settle };
const call = (code: string): unknown => new Function(...Object.keys(SCOPE), `return (${code});`)(...Object.values(SCOPE)) as unknown;
/** An example with an ellipsis, or with a variable of its surroundings, explains a shape and not a value. */
const isComplete = (e: Example): boolean => !/…|\b(input|circuit|path|design|typed|part40)\b/.test(e.code) && !/[{[].*…/.test(e.want);

describe('the examples in doc comments', () => {
  const complete = examples().filter(isComplete);
  it('are many', () => expect(complete.length).toBeGreaterThan(25));
  for (const e of complete) {
    it(`${e.file}: ${e.code}`, () => {
      const got = call(e.code);
      if (e.want.endsWith('…'))
        expect(String(got).startsWith(e.want.slice(0, -1)))
          .withContext(`got ${String(got)}`)
          .toBeTrue();
      else expect(differences(got, call(e.want), { relative: 1e-5, absolute: 1e-6 })).toEqual([]);
    });
  }
});
