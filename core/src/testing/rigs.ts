import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { catalogueOf } from '../catalogue/index.js';
import { hasRig, inJob } from '../couplings/index.js';
import { OWN, readDesign, vehicleIds, type Design } from '../design/index.js';

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

/** A vehicle of an example that has a rig, as a design of its own; of a job of one vehicle that itself. */
export interface ExampleVehicle {
  readonly key: string;
  readonly job: Design;
  readonly id: string;
  readonly design: Design;
}

export const EXAMPLE_VEHICLES: readonly ExampleVehicle[] = EXAMPLE_RIGS.flatMap(({ key, design: job }) =>
  vehicleIds(job)
    .map((id): ExampleVehicle => ({ key: id === OWN ? key : `${key}, ${id}`, job, id, design: inJob(job, id, catalogueOf(job)) }))
    .filter((v) => hasRig(v.design)),
);
