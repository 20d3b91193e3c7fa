import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isBuilt } from './lib/packages.mjs';
import { ROOT, runShown } from './lib/run.mjs';
import { giveUp, say } from './lib/say.mjs';

const STAMP = { node: 'core/dist/.built', web: 'web/dist/.built' };

function stamp(file) {
  mkdirSync(join(ROOT, file, '..'), { recursive: true });
  writeFileSync(join(ROOT, file), new Date().toISOString());
}

/** Builds what changed: core, server and command line by tsc, the web application by Angular unless it is not wanted. */
export function build({ web = true } = {}) {
  if (!isBuilt(['core/src', 'contract/src', 'server/src', 'cli/src'], STAMP.node)) {
    say('building core, server and command line …');
    if (runShown('npx', ['--no-install', 'tsc', '-b']) !== 0) giveUp('the build of core, server and command line failed');
    stamp(STAMP.node);
  }
  if (web && !isBuilt(['core/src', 'contract/src', 'web'], STAMP.web)) {
    say('building the web application …');
    const code = runShown('npx', ['--no-install', 'ng', 'build', '--configuration', 'production'], {
      cwd: join(ROOT, 'web'),
      env: { ...process.env, NG_CLI_ANALYTICS: 'false', NG_BUILD_OPTIMIZE_CHUNKS: 'true' },
    });
    if (code !== 0) giveUp('the build of the web application failed');
    stamp(STAMP.web);
  }
}

if (process.argv[1] === new URL(import.meta.url).pathname) build();
