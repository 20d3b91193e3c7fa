import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { say } from './say.mjs';

const fresh = () => randomBytes(18).toString('hex');

/** Written beside and put in place in one go: whoever is cut off in between leaves the old ones. */
export function keepSettings(home, settings) {
  const file = join(home, 'settings.json');
  writeFileSync(`${file}.new`, JSON.stringify(settings), { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

function read(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    say(`${file} cannot be read; it is made anew`);
    return {};
  }
}

/**
 * Passwords and port of a PostgreSQL of ours. Those that are missing are made; `lost` says that the data is older than
 * its passwords, so that PostgreSQL must be told the new ones.
 */
export function settingsOf(home) {
  const file = join(home, 'settings.json');
  const there = existsSync(file) ? read(file) : {};
  const old = there.ownerPassword && !there.clusterPassword;
  const settings = {
    // In a folder of before, the owner of the tables was the one who may do everything.
    clusterPassword: there.clusterPassword ?? (old ? there.ownerPassword : fresh()),
    ownerPassword: (old ? null : there.ownerPassword) ?? fresh(),
    appPassword: there.appPassword ?? fresh(),
    port: there.port ?? 0,
  };
  keepSettings(home, settings);
  return { ...settings, lost: existsSync(join(home, 'data', 'PG_VERSION')) && !there.clusterPassword && !old };
}
