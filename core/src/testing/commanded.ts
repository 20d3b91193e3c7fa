import { doCommand, doCommands, type Asked } from '../commands/index.js';
import type { Design } from '../design/index.js';

/** A job after commands. @throws where one is refused, in its own words. */
export function after(job: Design, ...all: Asked[]): Design {
  const done = doCommands(job, all);
  if (!done.ok) throw new Error(done.message);
  return done.design;
}

/** Why a command is refused; `done` where it is not. */
export function refusal(job: Design, asked: Asked): string {
  const done = doCommand(job, asked);
  return done.ok ? 'done' : done.message;
}
