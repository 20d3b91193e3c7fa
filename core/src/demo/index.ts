export { DEMO_JOBS, type DemoJob } from './jobs.js';
