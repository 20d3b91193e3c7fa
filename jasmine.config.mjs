export default {
  spec_dir: '.',
  helpers: ['bin/lib/patience.mjs'],
  spec_files: ['core/src/**/*.spec.ts', 'contract/src/**/*.spec.ts', 'cli/src/**/*.spec.ts', 'server/src/**/*.spec.ts'],
  random: true,
};
