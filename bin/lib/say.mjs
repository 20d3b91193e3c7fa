/** One line on the terminal, in the project's voice. */
export const say = (text) => process.stdout.write(`${text}\n`);

/** Ends with a message and what to do; used where going on makes no sense. */
export function giveUp(text) {
  process.stderr.write(`\nmeridex: ${text}\n`);
  process.exit(1);
}
