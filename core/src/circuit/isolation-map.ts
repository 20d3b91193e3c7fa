import type { Resistor } from '../network/index.js';
import { fromInlet } from '../plant/index.js';
import { givesBy, terminals, type Posts, type RunEnd, type RunRole } from '../routes/index.js';
import { FED_NODES, MAIN_NODES } from './inline.js';
import { joinedTo } from './live.js';
import type { CircuitPlan } from './plan.js';
import { contactName, contactOf, houseNode } from './wires.js';

/** What may be opened by hand before someone works on the circuit. */
export type Opened = 'main switch' | 'charging selector' | 'disconnect' | 'panel breaker' | 'mains lead' | 'lead from the other battery' | 'starting battery’s fuse';

/** How a piece of gear stands: fed, its positive still at battery volts against the body, or dead. */
export type Liveness = 'live' | 'live to the body' | 'dead';

export interface IsolationCell {
  readonly state: Liveness;
  /** What still feeds it. */
  readonly by: readonly string[];
}

export interface IsolationRow {
  readonly gear: string;
  readonly name: string;
  /** In the order of `columns`. */
  readonly cells: readonly IsolationCell[];
}

export interface IsolationMap {
  readonly columns: readonly { readonly name: string; readonly opened: readonly Opened[] }[];
  readonly rows: readonly IsolationRow[];
}

interface Feeder {
  readonly name: string;
  readonly plus: string;
  readonly minus: string;
  /** It gives only while this is live: a charger's input, a controller's panels. */
  readonly from: { readonly plus: string; readonly minus: string } | null;
}

function feeders(plan: CircuitPlan, opened: ReadonlySet<Opened>): Feeder[] {
  const nodes = new Set(plan.runs.flatMap((r) => [r.spec.from.plus, r.spec.to.plus]));
  const out: Feeder[] = [];
  for (let k = 1; k <= plan.bank.strings; k++) {
    const node = houseNode(plan.bank, k);
    out.push({ name: plan.bank.strings > 1 ? `house battery ${k}` : 'house battery', ...node, from: null });
  }
  for (const { spec } of plan.secondLeads)
    out.push({ name: plan.second && plan.second.strings > 1 ? `second battery ${spec.from.string}` : 'second battery', plus: spec.from.plus, minus: spec.from.minus, from: null });
  const stands = (name: string, posts: Posts): void => void (nodes.has(posts.plus) && out.push({ name, ...posts, from: null }));
  stands('starting battery', terminals('starting'));
  if (!opened.has('lead from the other battery')) for (const { ref } of plan.plant.dcInlets) stands('lead from the other battery', terminals(ref.id));
  for (const a of plan.plant.arrays)
    if (a.portable) for (const end of [null, 'out'] as const) stands('portable panel', terminals(a.ref.id, end));
    else stands('panels', terminals(a.ref.id));
  for (const { spec } of plan.runs) {
    if (!givesBy({ spec }, spec.from.ref.id)) continue;
    const inputs = (['in', 'sun'] as const).map((t) => terminals(spec.from.gear, t)).filter((p) => nodes.has(p.plus));
    for (const from of inputs) out.push({ name: spec.from.name, ...terminals(spec.from.gear, 'out'), from });
  }
  // Plugged in, an inverter-charger feeds the very terminals that it draws by.
  if (!opened.has('mains lead'))
    for (const { ref, ports } of fromInlet(plan.plant))
      stands(ports.mainsOut ? 'inverter-charger' : ports.dcIn ? 'charger on mains' : 'mains charger', terminals(ref.id, ports.mainsOut ? null : 'out'));
  return out;
}

function wires(plan: CircuitPlan, opened: ReadonlySet<Opened>): Resistor[] {
  const out: Resistor[] = [];
  for (const { spec } of [...plan.runs, ...plan.secondLeads]) {
    const cut = (spec.role === 'panel lead' && opened.has('panel breaker')) || (spec.from.ref.in === 'vehicles' && opened.has('starting battery’s fuse'));
    if (!cut) out.push({ id: spec.id, a: spec.from.plus, b: spec.to.plus, ohm: 1 });
    out.push({ id: `${spec.id}.back`, a: spec.from.minus, b: spec.to.minus, ohm: 1 });
  }
  for (const p of plan.inline) {
    const open = (p.id === 'switch' && opened.has('main switch')) || (p.id === 'charging' && opened.has('charging selector')) || (p.id === 'disconnect' && opened.has('disconnect'));
    if (!open) out.push({ id: p.id, a: p.a, b: p.b, ohm: 1 });
  }
  // A closed isolator is the worse case for whoever works behind it.
  for (const r of plan.runs) if (r.spec.role === 'link') out.push({ id: contactName(plan.runs, r), ...contactOf(r), ohm: 1 });
  return out;
}

/** Who feeds each node pair with these opened; what a converter passes on counts as soon as its input is fed. */
function cellsOf(plan: CircuitPlan, opened: readonly Opened[], gear: readonly { readonly plus: string; readonly minus: string }[]): IsolationCell[] {
  const set = new Set(opened);
  const resistors = wires(plan, set);
  const feeding = feeders(plan, set).map((f) => ({ ...f, plusTo: joinedTo({ resistors }, [f.plus]), minusTo: joinedTo({ resistors }, [f.minus]) }));
  const fed = new Set(feeding.filter((f) => f.from === null));
  for (let grew = true; grew;) {
    grew = false;
    for (const f of feeding) {
      if (fed.has(f) || !f.from || ![...fed].some((g) => g.plusTo.has(f.from!.plus) && g.minusTo.has(f.from!.minus))) continue;
      fed.add(f);
      grew = true;
    }
  }
  return gear.map(({ plus, minus }): IsolationCell => {
    const whole = [...fed].filter((f) => f.plusTo.has(plus) && f.minusTo.has(minus));
    const half = [...fed].filter((f) => f.plusTo.has(plus));
    const by = [...new Set((whole.length ? whole : half).map((f) => f.name))];
    return { state: whole.length ? 'live' : half.length ? 'live to the body' : 'dead', by };
  });
}

/**
 * What is still live with each switch off, and with all of them: sources beyond a switch keep feeding, a charger feeds
 * the bus bars while its engine or sun does, and a disconnect in the negative leaves every positive behind it at
 * battery volts against the body. Engine running, sun shining, mains plugged in: the worst for whoever works on it.
 */
export function isolationMap(plan: CircuitPlan): IsolationMap {
  const has = (role: RunRole): boolean => plan.runs.some((r) => r.spec.role === role);
  const single: Opened[] = [
    ...(plan.inline.some((p) => p.id === 'switch') ? (['main switch'] as const) : []),
    ...(plan.inline.some((p) => p.id === 'charging') ? (['charging selector'] as const) : []),
    ...(plan.inline.some((p) => p.id === 'disconnect') ? (['disconnect'] as const) : []),
    ...(has('panel lead') ? (['panel breaker'] as const) : []),
    ...(fromInlet(plan.plant).length ? (['mains lead'] as const) : []),
    ...(plan.plant.dcInlets.length ? (['lead from the other battery'] as const) : []),
    ...(plan.runs.some((r) => r.spec.from.ref.in === 'vehicles') ? (['starting battery’s fuse'] as const) : []),
  ];
  const columns = [
    { name: 'nothing', opened: [] as readonly Opened[] },
    ...single.map((o) => ({ name: o as string, opened: [o] as readonly Opened[] })),
    ...(single.length > 1 ? [{ name: 'all of them', opened: single }] : []),
  ];
  const ends = new Map<string, RunEnd>();
  for (const { spec } of plan.runs) for (const e of [spec.from, spec.to]) if (!ends.has(e.plus)) ends.set(e.plus, e);
  const list = [...ends.values()].filter((e) => e.plus !== MAIN_NODES.plus);
  const byColumn = columns.map((c) => cellsOf(plan, c.opened, list));
  const side = { in: ', input', out: ', output', sun: ', panel side' } as const;
  const rows = list.map((e, i): IsolationRow => ({
    gear: e.gear,
    name: `${e.name}${e.terminal ? side[e.terminal] : e.plus === FED_NODES.plus ? ', fed side' : ''}`,
    cells: byColumn.map((c) => c[i]!),
  }));
  return { columns, rows };
}
