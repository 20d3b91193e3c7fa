import { resistanceOhmPerM } from '../cable/index.js';
import { batterySource } from '../catalogue/index.js';
import { type Circuit, type CircuitLoad, type Resistor, type Solved, type Source } from '../network/index.js';
import { isBetweenBoxes, serves, type Fitted, type Posts } from '../routes/index.js';
import { sensingAt, type Bank } from '../supply/index.js';
import { drawnIn, type Drawn } from './drawn.js';
import { BLEED_OHM, type CircuitFault } from './fault.js';
import { leadSources, usualLead } from './lead.js';
import { joinedNodes, OPEN_OHM } from './live.js';
import type { CircuitPlan } from './plan.js';
import { asidePosts } from './second.js';
import type { CircuitState } from './state.js';
import { bankInUse, giversIn, litPanels, stringIn, type Giver, type Lit } from './units.js';
import { contactName, contactOf, houseNode, ISOLATOR_OHM, wireAt } from './wires.js';

/** Name of a run's feed among the circuit's resistors. */
export const feedId = (run: string): string => `${run}.feed`;

/** Name of the return that the runs of a multi-core have in common, and of the node where theirs meet. */
export const commonBackId = (multicore: string): string => `multicore-${multicore}.back`;
const meets = (multicore: string): string => `multicore-${multicore}-`;

/** Name of what a giver draws at its input. */
export const inputId = (giver: string): string => `${giver}.in`;

/** How a giver stands: off, giving all its current, all its sun, or holding its volts. */
export type GiverMode = 'off' | 'cut out' | 'all its amps' | 'all its sun' | 'holding';
/** A giver's own resistance while it holds its volts, and a regulator's towards its panels, ohm. */
export const HOLD_OHM = 1e-3;
/** A battery whose volts at the posts are given has none of its own, ohm. */
const POSTS_OHM = 1e-6;

/** Everything that may still change while the state settles. */
interface Underway {
  readonly modes: Map<string, GiverMode>;
  /** Strings that take all they can, instead of what the volts press into them. */
  readonly limited: Set<string>;
  readonly charging: Set<string>;
  /** Power that each charger takes from the vehicle's side, W. */
  readonly inW: Map<string, number>;
  readonly conductorC: Map<string, number>;
  /** Links that are closed. */
  readonly closed: Set<string>;
}

/** What a state comes to where contacts do not obey. */
const stateUnder = (asked: CircuitState, { isolator, mainSwitch, disconnect }: CircuitFault): CircuitState => ({
  ...asked,
  isolator: isolator ?? asked.isolator,
  mainSwitch: mainSwitch ?? asked.mainSwitch,
  disconnect: disconnect ?? asked.disconnect,
});

/** One string of a bank as a battery of the circuit: of the bank in use, or of another that is on charge meanwhile. */
export interface StringAt {
  readonly id: string;
  readonly string: number;
  readonly bank: Bank;
  readonly side: 'house' | 'aside';
  readonly posts: Posts;
}

const stringsOf = (bank: Bank, side: StringAt['side'], posts: (string: number) => Posts): StringAt[] =>
  Array.from({ length: bank.strings }, (_, i) => ({ id: `${side === 'aside' ? 'aside' : 'battery'}${i + 1}`, string: i + 1, bank, side, posts: posts(i + 1) }));

/** A link with the run behind it and what its contact is called in the circuit. */
interface Tie {
  readonly id: string;
  readonly contact: string;
  readonly run: Fitted;
  /** Below this at the starting battery it opens, V. */
  readonly openV: number;
}

const tiesOf = (plan: CircuitPlan): Tie[] =>
  plan.plant.links.flatMap(({ ref, part }): Tie[] => {
    const run = plan.runs.find((r) => serves(r, 'link', ref.id));
    return run ? [{ id: ref.id, contact: contactName(plan.runs, run), run, openV: sensingAt(part, plan.design.brief.vehicleV).openV }] : [];
  });

type Light = Lit['from'][number];

/** Panels in what is left of their light; none where nothing is. */
function dimmed(light: Light, fault: CircuitFault | undefined): Light[] {
  const share = fault?.sunShare?.[light.id] ?? 1;
  return share > 0 ? [share === 1 ? light : { ...light, currentA: light.currentA * share }] : [];
}

/** A circuit in one state while it settles: what stands fixed, what may still change, and the circuit that follows. */
export class Settling {
  readonly bank;
  readonly strings: readonly StringAt[];
  readonly lit;
  readonly givers: Giver[];
  readonly drawn: Drawn[];
  readonly starting: boolean;
  /** Ties to the starting battery that have their runs. */
  readonly links: readonly Tie[];
  readonly u: Underway;

  readonly state: CircuitState;

  constructor(
    readonly plan: CircuitPlan,
    asked: CircuitState,
  ) {
    const { fault } = plan;
    const state = fault ? stateUnder(asked, fault) : asked;
    this.state = state;
    this.bank = bankInUse(plan, state);
    const { aside } = plan;
    this.strings = [...stringsOf(this.bank, 'house', (k) => houseNode(plan.bank, k)), ...(aside ? stringsOf(aside, 'aside', (k) => asidePosts(aside, k)) : [])];
    this.starting = plan.runs.some((r) => r.spec.from.ref.in === 'vehicles');
    // Only what has its cable arrives.
    const led = new Set(plan.runs.flatMap((r) => (r.spec.to.terminal === 'sun' ? [r.spec.from.plus] : [])));
    this.lit = litPanels(plan, state, this.bank.nominalV * 1.1)
      .map((l) => ({ ...l, from: l.from.filter((f) => led.has(f.plus)).flatMap((f) => dimmed(f, fault)) }))
      .filter((l) => l.from.length);
    const nodes = new Set(plan.runs.flatMap((r) => [r.spec.from.plus, r.spec.to.plus]));
    this.givers = giversIn(plan, state, this.lit)
      .filter((g) => nodes.has(g.plus) && (!g.input || nodes.has(g.input.plus)) && !fault?.givesNothing?.includes(g.id))
      .map((g) => (fault?.setV?.[g.id] === undefined ? g : { ...g, setV: fault.setV[g.id]! }));
    this.drawn = drawnIn(plan, state).filter((d) => !fault?.drawsNothing?.includes(d.id));
    this.links = tiesOf(plan);
    const closed = state.isolator === 'closed' || (state.isolator === 'by itself' && state.engine !== 'off');
    this.u = {
      modes: new Map(this.givers.map((g) => [g.id, g.sunOnly ? 'all its sun' : 'holding'])),
      limited: new Set(),
      charging: new Set(),
      inW: new Map(),
      conductorC: new Map(plan.runs.map((r) => [r.spec.id, r.spec.ambientC])),
      closed: new Set(closed ? this.links.map((l) => l.id) : []),
    };
  }

  private resistors(): Resistor[] {
    const { plan, state, u } = this;
    const out: Resistor[] = [];
    const shared = new Map<string, Resistor>();
    for (const run of plan.runs) {
      const { spec } = run;
      if (spec.to.terminal === 'sun' && !this.lit.some((l) => l.regulator.plus === spec.to.plus)) continue;
      const perM = resistanceOhmPerM(run.figures.areaMm2, plan.design.settings.tinned, u.conductorC.get(spec.id)!);
      const w = wireAt(run, perM);
      out.push({ id: feedId(spec.id), a: spec.from.plus, b: spec.to.plus, ohm: w.fromEndOhm + w.feedOhm + w.toEndOhm });
      const { multicore: m } = spec;
      if (!m?.common) {
        out.push({ id: `${spec.id}.back`, a: spec.to.minus, b: spec.from.minus, ohm: w.backOhm });
        continue;
      }
      // Its own end up to where the returns meet; from there one for all of them, as long as the longest.
      const sharedOhm = (spec.backM * perM) / m.common.cores;
      out.push({ id: `${spec.id}.back`, a: spec.to.minus, b: meets(m.id), ohm: w.backOhm - sharedOhm });
      const there = shared.get(m.id);
      if (!there || there.ohm < sharedOhm) shared.set(m.id, { id: commonBackId(m.id), a: meets(m.id), b: spec.from.minus, ohm: sharedOhm });
    }
    out.push(...shared.values());
    const open = { switch: state.mainSwitch === 'open', charging: false, disconnect: state.disconnect === 'open', shunt: false };
    for (const p of plan.inline) out.push({ id: p.id, a: p.a, b: p.b, ohm: open[p.id] ? OPEN_OHM : p.ohm });
    for (const l of this.links) out.push({ id: l.contact, ...contactOf(l.run), ohm: u.closed.has(l.id) ? ISOLATOR_OHM : OPEN_OHM });
    const added = plan.fault?.addOhm;
    return added ? out.map((r) => (added[r.id] === undefined ? r : { ...r, ohm: r.ohm + added[r.id]! })) : out;
  }

  /** Volts and ohms of one string. */
  stringOf({ id, bank, string }: StringAt): ReturnType<typeof stringIn> {
    const sound = stringIn(bank, string, this.state);
    const weak = this.plan.fault?.battery?.[id];
    return weak ? { ...sound, volt: sound.volt - weak.belowV, ohm: sound.ohm * weak.timesOhm, chargeOhm: sound.chargeOhm * weak.timesOhm } : sound;
  }

  /** Where a fault parts something, all ends are bled: else one that nothing feeds would float at what it was parted from. */
  private bled(): CircuitLoad[] {
    const parts = Object.values(this.plan.fault?.addOhm ?? {}).some((ohm) => ohm >= OPEN_OHM);
    if (!parts && !this.plan.fault?.mainSwitch && !this.plan.fault?.disconnect) return [];
    const ends = new Map(this.plan.runs.flatMap(({ spec }) => [spec.from, spec.to]).map((e) => [`${e.plus} ${e.minus}`, e]));
    return [...ends].map(([id, { plus, minus }]): CircuitLoad => ({ id: `bleed ${id}`, plus, minus, kind: 'resistance', value: BLEED_OHM }));
  }

  private sources(): { sources: Source[]; loads: CircuitLoad[] } {
    const { plan, state, u } = this;
    const sources: Source[] = [];
    const loads: CircuitLoad[] = [];
    for (const at of this.strings) {
      const { id, posts } = at;
      const s = this.stringOf(at);
      if (state.postsV !== null) sources.push({ id, ...posts, volt: state.postsV, ohm: POSTS_OHM });
      else if (u.limited.has(id)) loads.push({ id, ...posts, kind: 'current', value: s.takesA });
      else sources.push({ id, ...posts, volt: s.volt, ohm: u.charging.has(id) ? s.chargeOhm : s.ohm });
    }
    if (this.starting) {
      const one = batterySource('flooded', plan.design.supply.startingAh, 'typical');
      const inSeries = plan.design.brief.vehicleV / 12;
      const weak = plan.fault?.battery?.['starting'] ?? { belowV: 0, timesOhm: 1 };
      // Nearly full all its life: it takes little, behind a charging resistance.
      const ohm = one.ohm * inSeries * weak.timesOhm * (state.engine === 'off' ? 1 : 8);
      sources.push({ id: 'starting', plus: 'starting+', minus: 'starting-', volt: one.volt * inSeries - weak.belowV, ohm });
    }
    // Pulled out, an inlet hangs on nothing.
    sources.push(...leadSources(plan.runs, (id, nominalV) => (state.mains && !plan.fault?.leadOut?.includes(id) ? (plan.leads?.[id] ?? usualLead(nominalV, 'typical')) : { volt: 0, ohm: BLEED_OHM })));
    // What a box brings to others hangs on nothing while it gives nothing.
    for (const { spec } of plan.runs.filter(isBetweenBoxes)) loads.push({ id: `bleed ${spec.id}`, plus: spec.from.plus, minus: spec.from.minus, kind: 'resistance', value: BLEED_OHM });
    for (const g of this.givers) {
      const mode = u.modes.get(g.id)!;
      if (mode === 'holding') sources.push({ id: g.id, plus: g.plus, minus: g.minus, volt: g.setV, ohm: HOLD_OHM });
      else if (mode === 'all its amps') loads.push({ id: g.id, plus: g.plus, minus: g.minus, kind: 'current', value: -g.limitA });
      else if (mode === 'all its sun') loads.push({ id: g.id, plus: g.plus, minus: g.minus, kind: 'power', value: -g.sunW });
      const watts = u.inW.get(g.id) ?? 0;
      if (g.input && watts > 0) loads.push({ id: inputId(g.id), plus: g.input.plus, minus: g.input.minus, kind: 'power', value: watts });
    }
    for (const { unit, regulator, holdV, from } of this.lit) {
      sources.push({ id: `${unit}.regulator`, plus: regulator.plus, minus: regulator.minus, volt: holdV, ohm: HOLD_OHM });
      for (const { id, plus, minus, currentA } of from) loads.push({ id: `${id}.light`, plus, minus, kind: 'current', value: -currentA });
    }
    return { sources, loads };
  }

  /** The circuit as things stand; loads that nothing reaches are left out. */
  circuit(): Circuit {
    const resistors = this.resistors();
    const { sources, loads } = this.sources();
    const giving = loads.filter((l) => l.value < 0 && this.u.modes.has(l.id));
    // Fed is what one source reaches by both poles: a switch in the negative leaves the feed live and takes the return away.
    const joined = joinedNodes({ resistors });
    const pair = (x: { readonly plus: string; readonly minus: string }): string => `${joined.get(x.plus) ?? x.plus} ${joined.get(x.minus) ?? x.minus}`;
    const between = new Set([...sources, ...giving].map(pair));
    const nodes = new Set<string>(['bus-']);
    for (const r of resistors) nodes.add(r.a).add(r.b);
    for (const s of [...sources, ...loads]) nodes.add(s.plus).add(s.minus);
    const fed = this.drawn.filter((d) => between.has(pair(d))).map(({ id, plus, minus, kind, value }): CircuitLoad => ({ id, plus, minus, kind, value }));
    const bled = this.bled().filter((b) => nodes.has(b.plus) && nodes.has(b.minus));
    return { ground: 'bus-', nodes: [...nodes], resistors, sources, loads: [...loads, ...fed, ...bled] };
  }

  across(solved: Solved, plus: string, minus: string): number {
    return (solved.nodeVolt[plus] ?? 0) - (solved.nodeVolt[minus] ?? 0);
  }

  /** What a giver gives as things stand, A. */
  outA(solved: Solved, g: Giver): number {
    const mode = this.u.modes.get(g.id)!;
    if (mode === 'holding') return Math.max(0, solved.branchAmp[g.id] ?? 0);
    if (mode === 'all its amps') return g.limitA;
    return mode === 'all its sun' ? g.sunW / this.across(solved, g.plus, g.minus) : 0;
  }
}
