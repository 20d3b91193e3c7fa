import { readFileSync } from 'node:fs';
import { run, USAGE } from './run.js';

const [command, file] = process.argv.slice(2);
if (command === undefined || file === undefined) {
  process.stderr.write(`meridex: ${command === undefined ? 'command' : 'file'}: got nothing; usage: ${USAGE}\n`);
  process.exitCode = 2;
} else {
  let text: string | undefined;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    process.stderr.write(`meridex: file: ${(error as Error).message}\n`);
    process.exitCode = 2;
  }
  if (text !== undefined) {
    const outcome = await run(command, text);
    process.stdout.write(outcome.out);
    process.stderr.write(outcome.err);
    process.exitCode = outcome.code;
  }
}
