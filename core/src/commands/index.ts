import { catalogueOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { run, type Command, type Commanded } from './command.js';
import { addArray, addBank, addBatteries, addConverter, addLink, addPart, changeThing, hang, remove, setBatteries } from './rig.js';

export { type Commanded } from './command.js';
export { takeOut } from './take-out.js';

/** Every command by its name. */
export const COMMANDS = { addBank, addBatteries, addArray, addConverter, addLink, addPart, hang, changeThing, remove, setBatteries } as const;
export type CommandName = keyof typeof COMMANDS;

/** What is asked for, as it stands in a file or comes from a screen. */
export interface Asked {
  readonly do: CommandName;
  readonly with: unknown;
}

/** Runs one command. @example doCommand(design, { do: 'addArray', with: { part: 'pv-200', count: 2 } }) */
export const doCommand = (design: Design, asked: Asked): Commanded => {
  if (!Object.hasOwn(COMMANDS, asked.do)) return { ok: false, message: `do: ${String(asked.do)} is no command; ${Object.keys(COMMANDS).join(', ')} are accepted` };
  return run(COMMANDS[asked.do] as Command<unknown>, design, catalogueOf(design), asked.with);
};

/** Runs commands one after another; the first that is refused ends it, with its number. */
export function doCommands(design: Design, all: readonly Asked[]): { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly message: string } {
  let now = design;
  for (const [i, asked] of all.entries()) {
    const done = doCommand(now, asked);
    if (!done.ok) return { ok: false, message: `commands.${i}.${done.message}` };
    now = done.design;
  }
  return { ok: true, design: now };
}
