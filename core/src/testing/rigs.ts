import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readDesign, type Design } from '../design/index.js';

const folder = fileURLToPath(new URL('../../../docs/examples/', import.meta.url));

/** A rig of `docs/examples`: the answers and commands that it was made by, and the job file that they gave. */
export interface ExampleRig {
  readonly key: string;
  readonly made: Readonly<Record<string, unknown>>;
  readonly design: Design;
}

const json = (name: string): Record<string, unknown> => JSON.parse(readFileSync(folder + name, 'utf8')) as Record<string, unknown>;

export const EXAMPLE_RIGS: readonly ExampleRig[] = readdirSync(folder)
  .filter((name) => name.endsWith('.answers.json'))
  .map((name) => {
    const key = name.replace('.answers.json', '');
    const read = readDesign(json(`${key}.json`)['design']);
    if (!read.ok) throw new Error(`${key}: ${read.message}`);
    return { key, made: json(name), design: read.design };
  });
