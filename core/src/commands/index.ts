import { catalogueOf } from '../catalogue/index.js';
import { editDesign, isJoined, OWN, patchInJob, vehicleIn, type Design } from '../design/index.js';
import { apart } from './apart.js';
import { dropPrices, giveBack, orderParts, partsHere, setBought, takePrices } from './buying.js';
import { run, type Command, type Commanded } from './command.js';
import { addRig, addVehicle, couple, removeVehicle, uncouple } from './vehicles.js';
import { addExisting, addLoad, addTrace, place, removeLoad, setLoad } from './gear.js';
import { addMulticore, removeMulticore, setMulticore } from './multicores.js';
import { chargingSelector } from './selectors.js';
import { addArray, addBank, addBatteries, addBlock, addConverter, addLink, addMonitor, addPart, changeThing, hang, remove, setBatteries } from './rig.js';

export { type Commanded } from './command.js';
export { fitInside, insideTroubles } from './inside.js';
export { takeOut } from './take-out.js';

/** Every command by its name. */
export const COMMANDS = {
  addBank,
  chargingSelector,
  addBatteries,
  addArray,
  addConverter,
  addBlock,
  addLink,
  addMonitor,
  addPart,
  hang,
  changeThing,
  remove,
  setBatteries,
  addLoad,
  setLoad,
  removeLoad,
  addMulticore,
  setMulticore,
  removeMulticore,
  orderParts,
  partsHere,
  setBought,
  giveBack,
  takePrices,
  dropPrices,
  addExisting,
  addTrace,
  place,
  addVehicle,
  addRig,
  removeVehicle,
  couple,
  uncouple,
} as const;
export type CommandName = keyof typeof COMMANDS;

/** What is asked for, as it stands in a file or comes from a screen. */
export interface Asked {
  readonly do: CommandName;
  readonly with: unknown;
  /** The vehicle of the job that it is done in; absent: the one that the job began with. */
  readonly in?: string;
}

/** Runs one command. @example doCommand(design, { do: 'addArray', with: { part: 'pv-200', count: 2 } }) */
export const doCommand = (design: Design, asked: Asked): Commanded => {
  if (!Object.hasOwn(COMMANDS, asked.do)) return { ok: false, message: `do: ${String(asked.do)} is no command; ${Object.keys(COMMANDS).join(', ')} are accepted` };
  const command = COMMANDS[asked.do] as Command<unknown>;
  const { in: id = OWN } = asked;
  if (id !== OWN && !(id in design.vehicles)) return { ok: false, message: `in: ${id} is none of the vehicles; ${[OWN, ...Object.keys(design.vehicles)].join(', ')} are accepted` };
  if (!isJoined(design) || OF_JOB.has(asked.do)) return run(command, design, catalogueOf(design), asked.with);
  const done = run(command, vehicleIn(design, id), catalogueOf(design), asked.with);
  if (!done.ok) return done;
  const patch = patchInJob(design, id, done.patch);
  const edited = patch.length ? editDesign(design, patch) : ({ ok: true, design } as const);
  return edited.ok ? { ...done, design: edited.design, patch } : edited;
};

/** Commands that reach over the vehicles of a job. */
const OF_JOB: ReadonlySet<CommandName> = new Set(['addPart', 'addVehicle', 'addRig', 'removeVehicle', 'couple', 'uncouple']);

/** Runs commands one after another; the first that is refused ends it, with its number. A bank beside the one in use has then a rig of its own. */
export function doCommands(design: Design, all: readonly Asked[]): { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly message: string } {
  let now = design;
  for (const [i, asked] of all.entries()) {
    const done = doCommand(now, asked);
    if (!done.ok) return { ok: false, message: `commands.${i}.${done.message}` };
    now = done.design;
  }
  return { ok: true, design: apart(now, catalogueOf(now)) };
}
