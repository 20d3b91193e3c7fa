import type { Assessment, AssessSettings } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { isJoined, OWN, type Design } from '../design/index.js';
import { assessIn, assessJob } from './assess.js';
import { orderOfJob } from './order.js';

/** Key under which a tick or reading of a vehicle is kept in the job's record. @example recordKey('caravan', 'house-rest') // 'caravan/house-rest' */
export const recordKey = (vehicle: string, key: string): string => (vehicle === OWN ? key : `${vehicle}/${key}`);

/** The records of one vehicle among all of a job, by its own keys. @example recordsOf('caravan', { 'caravan/a': 1, b: 2 }) // { a: 1 } */
export function recordsOf<T>(vehicle: string, all: Readonly<Record<string, T>>): Record<string, T> {
  const mark = recordKey(vehicle, '');
  return Object.fromEntries(Object.entries(all).flatMap(([key, value]) => ((vehicle === OWN ? !key.includes('/') : key.startsWith(mark)) ? [[key.slice(mark.length), value] as const] : [])));
}

/** A job as lists see it: the figures of the vehicle it began with, and the findings, parts, steps and readings of all of them. */
export function assessWhole(job: Design, catalogue: Catalogue, settings: AssessSettings = {}): Assessment {
  if (!isJoined(job)) return assessIn(job, OWN, catalogue, settings);
  const vehicles = assessJob(job, catalogue);
  const own = vehicles[0]!.assessment!;
  const all = <T>(of: (a: Assessment, vehicle: string, name: string) => readonly T[]): T[] => vehicles.flatMap((v) => (v.assessment ? of(v.assessment, v.id, v.name) : []));
  const found = (of: (a: Assessment) => Assessment['open']): Assessment['open'] => all((a, id) => of(a).map((f) => ({ ...f, key: recordKey(id, f.key) })));
  const open = found((a) => a.open);
  return {
    ...own,
    findings: found((a) => a.findings),
    open,
    order: orderOfJob(vehicles),
    fit: all((a, id, name) => a.fit.map((s) => ({ ...s, id: recordKey(id, s.id), text: id === OWN ? s.text : `${name}: ${s.text}` }))),
    prove: all((a, id, name) => a.prove.map((r) => ({ ...r, id: recordKey(id, r.id), where: id === OWN ? r.where : `${name}: ${r.where}` }))),
    tellTales: { ...own.tellTales, stops: open.filter((f) => f.severity === 'stop').length, looks: open.filter((f) => f.severity === 'look').length },
  };
}
