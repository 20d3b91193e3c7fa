export * from './steps.js';
export * from './torque.js';
