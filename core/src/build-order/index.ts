export { buildOrder } from './order.js';
export { buildOrderSchema } from './task.js';
