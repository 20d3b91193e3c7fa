export default {
  spec_dir: '.',
  spec_files: ['core/src/**/*.spec.ts', 'contract/src/**/*.spec.ts', 'cli/src/**/*.spec.ts', 'server/src/**/*.spec.ts'],
  random: true,
};
