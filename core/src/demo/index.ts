export { DEMO_RULES } from './build.js';
export { DEMO_JOBS, type DemoJob } from './jobs.js';
