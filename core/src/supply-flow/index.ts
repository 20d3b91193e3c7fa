export { supplyFlow } from './flow.js';
export { COLUMNS as FLOW_COLUMNS } from './picture.js';
export type { Flow, FlowThing, SupplyFlow } from './picture.js';
