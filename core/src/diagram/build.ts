import { CHARGE_PLUS, COUNTED_MINUS, FED_NODES, MAIN_NODES, type InlinePart } from '../circuit/index.js';
import { withoutDetail, refTo, runKey, type Design } from '../design/index.js';
import type { Gear } from '../places/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { BARS } from '../plant/index.js';
import { rating } from '../quantity/index.js';
import { isMainLead, ownFuseMarks, terminals, type FuseMarks, type Lead, type RunEnd, type RunGroup, type SizedRun } from '../routes/index.js';
import type { Diagram, DiagramEnd, DiagramLine, DiagramNode, LineKind, SymbolKind } from './element.js';
import { symbolOf } from './symbol-of.js';
import { keptGear, standingApart } from './there-before.js';

/** What a diagram is drawn from. */
export interface DiagramInput {
  readonly design: Design;
  readonly gear: readonly Gear[];
  readonly runs: readonly SizedRun[];
  readonly inline: readonly InlinePart[];
  readonly leads: readonly Lead[];
  /** Its size in words, where the house negative is tied to the body. */
  readonly bond: { readonly size: string; readonly lengthM: number } | null;
}

/** What of a design is shown: everything, the runs of some purposes, or one load with its way back to the battery. */
export interface DiagramFilter {
  readonly groups: readonly RunGroup[] | null;
  readonly loads: readonly string[] | null;
}

export const WHOLE: DiagramFilter = { groups: null, loads: null };

/** Element of one string of a bank of several. */
export const stringNode = (gear: string, string: number | null): string => (string === null ? gear : `${gear}.${string}`);

/** Panels of one array stand as the first of them. */
const arrayElement = (g: Pick<Gear, 'ref' | 'id'>): string => (g.ref.in === 'arrays' ? withoutDetail(g.ref).id : g.id);

/** A cable’s name as far as a label has room for it. */
const clipped = (name: string): string => (name.length > 20 ? `${name.slice(0, 19).trimEnd()}…` : name);
const metres = (m: number): string => `${Math.round(m * 10) / 10} m`;

/** The link from a contact of the charging selector to that of the loads' one. */
export const chargingLink = (contact: 1 | 2): string => `charging:link${contact}`;

class Builder {
  readonly nodes = new Map<string, DiagramNode>();
  readonly lines: DiagramLine[] = [];
  private readonly gear: ReadonlyMap<string, Gear>;
  private readonly kept: ReadonlySet<string>;
  /** What stands on a fuse beside its rating, where that is not its run's number alone. */
  private readonly mark: FuseMarks;

  private readonly carriers: ReadonlyMap<string, string>;
  private readonly specs: ReadonlyMap<string, SizedRun>;
  /** The carrier that the bars are in. */
  private readonly home: string;

  constructor(private readonly input: DiagramInput) {
    this.gear = new Map(input.gear.map((g) => [g.id, g]));
    this.kept = keptGear(input.design, input.gear);
    this.mark = ownFuseMarks(input.design.settings.fuseMarks, input.runs);
    const vehicle = vehicleOf(input.design);
    this.carriers = new Map(vehicle.zones.map((z) => [z.id, z.carrier]));
    this.specs = new Map(input.runs.map((r) => [r.spec.id, r]));
    this.home = this.carriers.get(this.gear.get(BARS.id)?.zone ?? '') ?? vehicle.carriers.at(-1)!.id;
  }

  /** Carrier of a piece of gear; null: of the one that has the bars. */
  private carrierOf(gear: string | null | undefined): string | null {
    const g = gear ? this.gear.get(gear) : undefined;
    const carrier = g && this.carriers.get(g.zone);
    return carrier === undefined || carrier === this.home ? null : carrier;
  }

  /** The vehicle of what is no gear: where its run's end is; of a plug between two, neither. */
  private framed({ gear, run }: Partial<DiagramNode>): string | null {
    if (gear || !run) return this.carrierOf(gear);
    const spec = this.specs.get(run)?.spec;
    const [from, to] = [this.carrierOf(spec?.from.gear), this.carrierOf(spec?.to.gear)];
    return from === to ? from : null;
  }

  put(id: string, symbol: SymbolKind, title: string, more: Partial<DiagramNode> = {}): void {
    if (!this.nodes.has(id)) this.nodes.set(id, { id, symbol, title, detail: '', label: '', gear: null, run: null, last: false, frame: this.framed(more), ...more });
  }

  /** Panels stand as one element, with their number on it. */
  private nameOf(g: Gear): string {
    const panels = g.role === 'panel' ? [...this.gear.values()].filter((o) => o.role === 'panel' && arrayElement(o) === arrayElement(g)).length : 1;
    return panels > 1 ? `${panels} × ${g.plain}` : g.name;
  }

  /** The element that a piece of gear is; batteries of a bank are several. */
  putGear(id: string): string {
    return this.putEnd(id, id, null);
  }

  /** A piece of gear as one element, or one string of a bank of several. */
  private putEnd(id: string, gear: string, string: number | null): string {
    const g = this.gear.get(gear);
    const part = this.input.inline.find((p) => p.id === id && p.onHub);
    if (part) this.put(id, { switch: 'switch', charging: 'switch', shunt: 'shunt', disconnect: 'contact' }[part.id] as SymbolKind, part.name, { gear: 'bus', detail: 'on the hub board' });
    if (!g) return id;
    const title = string === null ? this.nameOf(g) : `${g.plain} ${string}`;
    this.put(id, symbolOf(g, this.input.design), title, {
      gear: g.id,
      last: g.role === 'load',
      detail: [g.when === 'now' ? '' : g.when, this.kept.has(gear) ? 'existing' : ''].filter(Boolean).join(', '),
    });
    return id;
  }

  /** The element and side where a pole of a run ends: its gear, or what stands in line before it. */
  end(e: RunEnd, pole: 'plus' | 'minus', side: 'west' | 'east', contact?: 1 | 2): DiagramEnd {
    const node = e[pole];
    if (node === MAIN_NODES.plus) return { node: this.putGear('switch'), side: 'west', pole, contact };
    if (node === MAIN_NODES.minus || node === COUNTED_MINUS) return { node: this.putGear(this.input.inline.find((p) => p.a === node)!.id), side: 'west', pole };
    if (node === CHARGE_PLUS) return { node: this.putGear('charging'), side: 'west', pole };
    if (node === FED_NODES.plus || node === FED_NODES.minus) return { node: this.putGear('disconnect'), side: 'east', pole };
    // A wire straight off a battery’s post has its return on the bars, so that the shunt counts it.
    if (pole === 'minus' && node === terminals(BARS.id).minus && e.gear !== BARS.id) return { node: this.putGear(BARS.id), side, pole };
    const gear = arrayElement({ ref: e.ref, id: e.gear });
    return { node: this.putEnd(stringNode(gear, e.string), gear, e.string), side, pole };
  }

  /** Vehicles that have something of this diagram, the one with the bars last; none where there is but one. */
  frames(): Diagram['frames'] {
    const there = new Set([...this.nodes.values()].flatMap((n) => n.frame ?? []));
    if (!there.size) return [];
    const named = new Map(vehicleOf(this.input.design).carriers.map((c) => [c.id, c.name]));
    return [...there, this.home].map((c) => ({ id: c, name: named.get(c) ?? c }));
  }

  line(id: string, kind: LineKind, run: string | null, from: DiagramEnd, to: DiagramEnd, label = ''): void {
    this.lines.push({ id, kind, run, from, to, label });
  }

  run(r: SizedRun): void {
    const { spec } = r;
    const size = r.ok ? r.figures.cable : 'no size yet';
    const how = spec.existing ? 'existing, ' : spec.multicore ? `${clipped(spec.multicore.name)}, ` : '';
    const label = `${spec.number} · ${size}\n${how}${metres(spec.outM)}`;
    let here = this.end(spec.from, 'plus', 'east');
    const stops: string[] = [];
    const stop = (id: string, symbol: SymbolKind, title: string, at?: 'from' | 'to'): void => {
      this.put(id, symbol, title, { run: spec.id, label: stops.length ? '' : label, ...(at ? { frame: this.carrierOf(spec[at].gear) } : {}) });
      stops.push(id);
    };
    const fuse = (end: 'from' | 'to'): void => {
      if (!spec.ends.some((e) => e.at === end)) return;
      const breaker = spec.fuseKinds[0] === 'breaker';
      const many = r.ok && r.figures.perPole > 1 ? `${r.figures.perPole} × ` : '';
      stop(`fuse:${spec.id}:${end}`, breaker ? 'breaker' : 'fuse', [this.mark(spec.id, end), r.ok ? `${many}${rating(r.figures.fuseA)} A` : '? A'].filter(Boolean).join(' · '), end);
    };
    fuse('from');
    if (spec.plugA) stop(`plug:${spec.id}`, 'plug', `${spec.plugA} A plug`);
    fuse('to');
    for (const [i, id] of [...stops, null].entries()) {
      const to = id ? ({ node: id, side: 'west', pole: 'plus' } as const) : this.end(spec.to, 'plus', 'west', this.contactOf(r));
      this.line(`${spec.id}:feed:${i}`, 'feed', spec.id, here, to, stops.length ? '' : label);
      if (id) here = { node: id, side: 'east', pole: 'plus' };
    }
    const [out, back] = [this.end(spec.from, 'minus', 'east'), this.end(spec.to, 'minus', 'west')];
    if (spec.back === 'cable') {
      const plug = `plug:${spec.id}`;
      if (!spec.plugA) return this.line(`${spec.id}:return`, 'return', spec.id, out, back);
      this.line(`${spec.id}:return:0`, 'return', spec.id, out, { node: plug, side: 'west', pole: 'minus' });
      return this.line(`${spec.id}:return:1`, 'return', spec.id, { node: plug, side: 'east', pole: 'minus' }, back);
    }
    for (const where of ['from', 'to'] as const) this.put(`earth:${spec.id}:${where}`, 'earth', '', { run: spec.id, frame: this.carrierOf(spec[where].gear) });
    this.line(`${spec.id}:return:from`, 'return', spec.id, out, { node: `earth:${spec.id}:from`, side: 'west', pole: 'minus' });
    this.line(`${spec.id}:return:to`, 'return', spec.id, { node: `earth:${spec.id}:to`, side: 'east', pole: 'minus' }, back);
  }

  /** The contact of the loads' selector that a bank's lead ends at. */
  private contactOf(r: SizedRun): 1 | 2 | undefined {
    if (r.spec.role !== 'bank lead' || !this.input.inline.some((p) => p.id === 'switch' && p.selects)) return undefined;
    return isMainLead(r) ? 1 : 2;
  }

  /** What chargers give comes to their selector, and from its two contacts to those of the loads' one, where the banks' leads end. */
  private charging(here: string): void {
    const from = (contact: 1 | 2): DiagramEnd => ({ node: here, side: 'east', pole: 'plus', contact });
    const main = this.input.inline.find((p) => p.id === 'switch');
    const to = main ? this.putGear('switch') : this.putGear('bus');
    const both = main?.selects ? ([1, 2] as const) : ([1] as const);
    for (const contact of both) this.line(chargingLink(contact), 'feed', null, from(contact), { node: to, side: 'west', pole: 'plus', contact: main?.selects ? contact : undefined });
  }

  inlinePart(p: InlinePart): void {
    const pole = p.pole === 'positive' ? 'plus' : 'minus';
    const here = this.putGear(p.id);
    const bus = this.putGear(p.b === COUNTED_MINUS ? 'switch' : 'bus');
    // Of a plan whose battery or bars were taken out, what stood in line with them is not drawn.
    if (!this.nodes.has(here) || !this.nodes.has(bus)) return;
    // A switch changes nothing of what a conductor is: the feed stays the feed, the return the return.
    const kind = p.pole === 'positive' ? 'feed' : 'return';
    if (p.id === 'disconnect') this.line(`${p.id}:link`, kind, null, { node: bus, side: 'east', pole }, { node: here, side: 'west', pole });
    else if (p.id === 'charging') this.charging(here);
    else this.line(`${p.id}:link`, kind, null, { node: here, side: 'east', pole }, { node: bus, side: 'west', pole });
  }

  lead(l: Lead): void {
    const from = l.from === 'starting battery' ? 'starting' : this.nodes.has(l.from) || !this.nodes.has(stringNode(l.from, 1)) ? l.from : stringNode(l.from, 1);
    if (from === 'ignition') this.put('ignition', 'key', 'ignition', { frame: this.carrierOf('starting') });
    else this.putGear(from);
    this.putGear(l.to);
    if (!this.nodes.has(from) || !this.nodes.has(l.to)) return;
    this.line(l.id, 'signal', l.id, { node: from, side: 'east', pole: 'signal' }, { node: l.to, side: 'west', pole: 'signal' }, `${l.number} · ${l.kind}`);
  }

  bond(): void {
    const { bond } = this.input;
    if (!bond || !this.nodes.has('bus')) return;
    this.put('earth:bus', 'earth', 'body');
    this.line('bond', 'return', null, { node: 'bus', side: 'east', pole: 'minus' }, { node: 'earth:bus', side: 'west', pole: 'minus' }, `bond · ${bond.size}\n${metres(bond.lengthM)}`);
  }

  vehicle(): void {
    if (!this.nodes.has('starting')) return;
    this.put('alternator', 'generator', 'alternator', { detail: `${this.input.design.brief.alternator.ratedA} A, factory lead`, frame: this.carrierOf('starting') });
    this.line('alternator:plus', 'feed', null, { node: 'alternator', side: 'east', pole: 'plus' }, { node: 'starting', side: 'west', pole: 'plus' });
    this.put('earth:starting', 'earth', 'body', { frame: this.carrierOf('starting') });
    this.line('starting:earth', 'return', null, { node: 'starting', side: 'east', pole: 'minus' }, { node: 'earth:starting', side: 'west', pole: 'minus' });
  }

  mains(): void {
    const licensed = '230 V: licensed\nelectrician';
    for (const g of this.input.gear) {
      if (!g.mainsIn || !this.nodes.has(g.id)) continue;
      this.put('inlet', 'inlet', 'mains inlet');
      this.line(`inlet:${g.id}`, 'mains', null, { node: 'inlet', side: 'east', pole: 'signal' }, { node: g.id, side: 'west', pole: 'signal' }, licensed);
    }
    const loads = this.input.gear.filter((g) => g.ref.in === 'loads' && this.input.design.loads[g.ref.id]?.supply === 'mains');
    const inverter = this.input.runs.find((r) => r.spec.role === 'inverter feed')?.spec.to.gear;
    if (inverter === undefined || !this.nodes.has(inverter)) return;
    for (const [i, g] of loads.entries()) {
      this.putGear(g.id);
      this.line(`${g.id}:mains`, 'mains', null, { node: inverter, side: 'east', pole: 'signal' }, { node: g.id, side: 'west', pole: 'signal' }, i ? '' : licensed);
    }
  }
}

/** Runs that a filter shows; a load takes along what feeds it. */
function chosen(runs: readonly SizedRun[], filter: DiagramFilter): SizedRun[] {
  const { groups, loads } = filter;
  if (loads) {
    const ids = new Set(loads.map((l) => runKey(refTo('loads', l))));
    // All that feeds it: block, switch bank, strip or tapped wire, as far as the battery.
    for (const r of [...runs].reverse()) if (ids.has(r.spec.id) && r.spec.parent) ids.add(r.spec.parent);
    return runs.filter((r) => ids.has(r.spec.id) || isMainLead(r));
  }
  return groups ? runs.filter((r) => groups.includes(r.spec.group) || isMainLead(r)) : [...runs];
}

/**
 * The line diagram of a design, complete and without a place for anything yet: each piece of gear, each run with its
 * fuses and plugs, what stands in line, thin leads, and what the vehicle and the electrician bring.
 */
export function buildDiagram(input: DiagramInput, filter: DiagramFilter = WHOLE): Diagram {
  const b = new Builder(input);
  const whole = filter.groups === null && filter.loads === null;
  const runs = chosen(input.runs, filter);
  for (const r of runs) b.run(r);
  const withDisconnect = runs.some((r) => r.spec.from.plus === FED_NODES.plus || r.spec.from.minus === FED_NODES.minus);
  const withCharging = runs.some((r) => r.spec.to.plus === CHARGE_PLUS);
  const shown = { switch: true, shunt: true, charging: withCharging, disconnect: withDisconnect };
  for (const p of input.inline) if (shown[p.id]) b.inlinePart(p);
  if (whole || filter.groups?.includes('charging')) {
    for (const l of input.leads) b.lead(l);
    b.vehicle();
    b.bond();
  }
  if (whole || filter.groups?.some((g) => g === 'house' || g === 'charging')) b.mains();
  if (whole) for (const g of input.gear) if (g.role !== 'there' && !b.nodes.has(stringNode(g.id, 1)) && !(g.role === 'panel' && b.nodes.has(arrayElement(g)))) b.putGear(g.id);
  if (whole) for (const e of standingApart(input.design)) b.put(e.id, e.symbol, e.name, { detail: `existing, kept${e.does ? `: ${e.does}` : ''}; not joined by this plan` });
  return { nodes: [...b.nodes.values()], lines: b.lines, frames: b.frames() };
}
