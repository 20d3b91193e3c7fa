export { findFault } from './find.js';
export { faultTableSchema } from './table.js';
