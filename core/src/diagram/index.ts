export * from './build.js';
export * from './drawing.js';
export * from './element.js';
export { elkGraph, type ElkGraph } from './elk.js';
export * from './sheets.js';
export { armIn } from './arm.js';
export type { Arm } from './symbols.js';
export * from './svg.js';
export { LABEL } from './words.js';
