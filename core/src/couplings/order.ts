import { withMore, type Order } from '../order/index.js';
import type { AssessedVehicle } from './assess.js';

/** The parts list of all vehicles of a job: what is alike on one line, each use with its vehicle; runs that are cut say whose they are. */
export function orderOfJob(vehicles: readonly AssessedVehicle[]): Order {
  const built = vehicles.filter((v) => v.assessment !== null);
  const [only] = built;
  if (built.length === 1 && only) return only.assessment!.order;
  const none: Order = { lines: [], later: built.flatMap((v) => v.assessment!.order.later), cuts: [], total: 0, kg: 0 };
  return built.reduce((all, v) => withMore(all, v.assessment!.order, v.name), none);
}
