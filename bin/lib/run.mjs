import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const ROOT = fileURLToPath(new URL('../../', import.meta.url));

/** Runs to the end with its output shown; the exit code. */
export function runShown(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  return done.status ?? 1;
}

/** Runs quietly; code and output. */
export function runQuiet(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, encoding: 'utf8', maxBuffer: 1 << 26, ...options });
  return { code: done.status ?? 1, out: `${done.stdout ?? ''}${done.stderr ?? ''}` };
}

/** Runs with its output both shown and kept. */
export function runKept(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let out = '';
    const keep = (stream) => (data) => {
      out += data;
      stream.write(data);
    };
    child.stdout.on('data', keep(process.stdout));
    child.stderr.on('data', keep(process.stderr));
    child.on('error', (error) => resolve({ code: 1, out: `${out}${error.message}` }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}
