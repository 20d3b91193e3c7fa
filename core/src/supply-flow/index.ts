export { supplyFlow } from './flow.js';
export type { Flow, FlowThing, SupplyFlow } from './picture.js';
