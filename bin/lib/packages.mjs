import { existsSync, readFileSync, writeFileSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { ROOT, runQuiet, runShown } from './run.mjs';
import { giveUp, say } from './say.mjs';

/** Folder with PostgreSQL's own programs, newest version first; null when it is not installed. */
export function postgresFolder() {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return null;
  const versions = readdirSync(base).sort((a, b) => Number(b) - Number(a));
  const found = versions.map((v) => join(base, v, 'bin')).find((bin) => existsSync(join(bin, 'initdb')));
  return found ?? null;
}

export const CHROMIUM = '/usr/bin/chromium';

/** Installs a Debian package where that is possible, or says the exact command. */
function install(pkg) {
  if (process.getuid?.() !== 0) giveUp(`${pkg} is not installed. Run this once, then start again:\n\n  sudo apt-get update && sudo apt-get install -y ${pkg}\n`);
  say(`installing Debian's ${pkg} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const quiet = (args) => runQuiet('apt-get', args, { env });
  quiet(['update']);
  const done = quiet(['install', '-y', '--no-install-recommends', pkg]);
  if (done.code !== 0) giveUp(`${pkg} could not be installed:\n${done.out.split('\n').slice(-8).join('\n')}`);
}

export function needPostgres() {
  if (!postgresFolder()) install('postgresql');
  return postgresFolder() ?? giveUp('PostgreSQL was installed but its programs are not in /usr/lib/postgresql');
}

export function needChromium() {
  if (!existsSync(CHROMIUM)) install('chromium');
  if (!existsSync(CHROMIUM)) giveUp(`Chromium was installed but is not at ${CHROMIUM}`);
}

export const NGSPICE = '/usr/bin/ngspice';

/** The general circuit simulator that the specs hold the netlists against. */
export function needNgspice() {
  if (!existsSync(NGSPICE)) install('ngspice');
  if (!existsSync(NGSPICE)) giveUp(`ngspice was installed but is not at ${NGSPICE}`);
}

const STAMP = join(ROOT, 'node_modules/.meridex-lock');

/** Installs the npm packages when the lock file is not the one they were installed by. */
export function needModules() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  say('installing npm packages …');
  if (runShown('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']) !== 0) giveUp('npm ci did not finish; its own words are above');
  mkdirSync(join(ROOT, 'node_modules'), { recursive: true });
  writeFileSync(STAMP, lock);
}

function newest(folder, keep) {
  let last = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (['node_modules', 'dist', '.angular'].includes(entry.name)) continue;
    const path = join(folder, entry.name);
    last = Math.max(last, entry.isDirectory() ? newest(path, keep) : keep(entry.name) ? statSync(path).mtimeMs : 0);
  }
  return last;
}

/** True when nothing in the folders changed since the built file was written. */
export function isBuilt(folders, builtFile) {
  const built = join(ROOT, builtFile);
  if (!existsSync(built)) return false;
  const at = statSync(built).mtimeMs;
  return folders.every((f) => newest(join(ROOT, f), (name) => !name.endsWith('.spec.ts')) <= at);
}
