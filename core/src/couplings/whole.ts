import type { Assessment, AssessSettings } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { isJoined, OWN, recordKey, type Design } from '../design/index.js';
import { assessIn, assessJob } from './assess.js';
import { orderOfJob } from './order.js';

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
    fit: all((a, id, name) => a.fit.map((s) => ({ ...s, id: recordKey(id, s.id), after: s.after.map((x) => recordKey(id, x)), text: id === OWN ? s.text : `${name}: ${s.text}` }))),
    prove: all((a, id, name) => a.prove.map((r) => ({ ...r, id: recordKey(id, r.id), where: id === OWN ? r.where : `${name}: ${r.where}` }))),
    tellTales: { ...own.tellTales, stops: open.filter((f) => f.severity === 'stop').length, looks: open.filter((f) => f.severity === 'look').length },
  };
}
