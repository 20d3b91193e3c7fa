import type { Order, OrderLine } from '../order/index.js';
import type { AssessedVehicle } from './assess.js';

/** The parts list of all vehicles of a job: what is alike on one line, each use with its vehicle; runs that are cut say whose they are. */
export function orderOfJob(vehicles: readonly AssessedVehicle[]): Order {
  const built = vehicles.filter((v) => v.assessment !== null);
  const [only] = built;
  if (built.length === 1 && only) return only.assessment!.order;
  const lines = new Map<string, OrderLine>();
  for (const { name, assessment } of built)
    for (const l of assessment!.order.lines) {
      const there = lines.get(l.key);
      const uses = [...(there?.uses ?? []), ...l.uses.map((use) => `${name}: ${use}`)];
      lines.set(l.key, { ...l, uses, quantity: l.quantity + (there?.quantity ?? 0), kg: l.kg + (there?.kg ?? 0) });
    }
  const of = <T>(each: (o: Order, name: string) => readonly T[]): T[] => built.flatMap((v) => each(v.assessment!.order, v.name));
  return {
    lines: [...lines.values()],
    later: of((o) => o.later),
    cuts: of((o, name) => o.cuts.map((c) => ({ ...c, name: `${name}: ${c.name}` }))),
    total: built.reduce((sum, v) => sum + v.assessment!.order.total, 0),
    kg: built.reduce((sum, v) => sum + v.assessment!.order.kg, 0),
  };
}
