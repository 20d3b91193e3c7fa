import { z } from 'zod';
import type { Design } from '../design/index.js';
import { command, Refused } from './command.js';
import { freshAmong, lastOrder } from './things.js';

const key = z.string().min(1).max(80);
const name = z.string().max(60);
const back = z.enum(['own', 'common']);
const cores = z.number().int().min(2).max(40).nullable();
const colours = z.array(z.string().min(1).max(24)).max(40);

function multicoreOf(d: Design, id: string): Design['multicores'][string] {
  const found = d.multicores[id];
  if (!found) throw new Refused(`multicore: ${id} is not there; ${Object.keys(d.multicores).join(', ') || 'there are none yet'}`);
  return found;
}

/** A run lies in one cable: what goes into this one leaves any other. */
function leaveOthers(d: Design, id: string, runs: readonly string[]): void {
  for (const [other, m] of Object.entries(d.multicores)) {
    if (other === id) continue;
    m.runs = m.runs.filter((run) => !runs.includes(run));
    if (!m.runs.length) delete d.multicores[other];
  }
}

/** One sheathed cable for runs that go the same way, by their keys. */
export const addMulticore = command({
  input: z.strictObject({
    id: z.string().max(40).optional(),
    name: name.default(''),
    runs: z.array(key).min(1).max(20),
    back: back.default('own'),
    cores: cores.default(null),
    colours: colours.default([]),
  }),
  words: (i) => `a multi-core for ${i.runs.length} runs`,
  change: (d, { id, name: called, runs, ...more }) => {
    const made = freshAmong(d.multicores, id, 'multicore');
    d.multicores[made] = { order: lastOrder(d.multicores), name: called, runs: [...new Set(runs)], ...more };
    leaveOthers(d, made, runs);
  },
});

/** Another name, other runs, return, number of cores or their colours. */
export const setMulticore = command({
  input: z.strictObject({ multicore: z.string().max(40), set: z.strictObject({ name, runs: z.array(key).min(1).max(20), back, cores, colours }).partial() }),
  words: (i) => `${Object.keys(i.set).join(', ')} of a multi-core`,
  change: (d, { multicore, set }) => {
    const now = multicoreOf(d, multicore);
    d.multicores[multicore] = { ...now, ...set };
    leaveOthers(d, multicore, set.runs ?? []);
  },
});

/** Its runs have cables of their own again. */
export const removeMulticore = command({
  input: z.strictObject({ multicore: z.string().max(40) }),
  words: () => 'cables of their own instead of a multi-core',
  change: (d, { multicore }) => {
    multicoreOf(d, multicore);
    delete d.multicores[multicore];
  },
});
