import { solveCircuit, type Circuit, type Solved } from '../network/index.js';
import { feedId, inputId, type GiverMode, type Settling, type StringAt } from './settling.js';
import type { Giver } from './units.js';

/**
 * Where nothing settles, it may be a charger that asks more of its feed than the feed can give: its input would fall
 * below its cut-out first. True when one was cut out for that.
 */
export function cutOut(s: Settling, circuit: Circuit): boolean {
  const asking = s.givers.filter((g) => g.input && (s.u.inW.get(g.id) ?? 0) > 0);
  const inputs = new Set(asking.map((g) => inputId(g.id)));
  const without = circuit.loads.filter((l) => !inputs.has(l.id));
  if (!asking.length || !solveCircuit({ ...circuit, loads: without }).ok) return false;
  const alone = (g: Giver): boolean => solveCircuit({ ...circuit, loads: [...without, ...circuit.loads.filter((l) => l.id === inputId(g.id))] }).ok;
  const weak = asking.filter((g) => !alone(g));
  for (const g of weak.length ? weak : asking.slice(-1)) {
    s.u.modes.set(g.id, 'cut out');
    s.u.inW.set(g.id, 0);
  }
  return true;
}

/** True where no string of a side holds its volts any more: all take what they can. */
const allLimited = (s: Settling, side: StringAt['side']): boolean => s.strings.every((x) => x.side !== side || s.u.limited.has(x.id));

/** Strings that charge do so behind another resistance, and take no more than they can. */
function learnBank(s: Settling, solved: Solved, giversStand: boolean): boolean {
  const { u } = s;
  let changed = false;
  if (s.state.postsV !== null) return false;
  for (const at of s.strings) {
    const { id, posts, side } = at;
    const string = s.stringOf(at);
    if (u.limited.has(id)) {
      // What the volts at its posts would press into it has fallen below what it may take: it follows them again.
      const pressedA = (s.across(solved, posts.plus, posts.minus) - string.volt) / string.chargeOhm;
      if (giversStand && pressedA < string.takesA - 1e-6) {
        u.limited.delete(id);
        changed = true;
      }
      continue;
    }
    const amp = solved.branchAmp[id] ?? 0;
    const charging = amp < -1e-9;
    if (charging !== u.charging.has(id)) {
      if (charging) u.charging.add(id);
      else u.charging.delete(id);
      changed = true;
    } else if (giversStand && -amp > string.takesA + 1e-6 && s.givers.length) {
      u.limited.add(id);
      // The last string that held the volts leaves that to the chargers.
      if (allLimited(s, side)) for (const g of s.givers) if (g.side === side && u.modes.get(g.id) !== 'cut out') u.modes.set(g.id, 'holding');
      changed = true;
    }
  }
  return changed;
}

/** Volts must come from somewhere: when nothing on a bank's side holds them any more, the bank does again. */
function freeBank(s: Settling): void {
  for (const side of s.plan.aside ? (['house', 'aside'] as const) : (['house'] as const)) {
    // A closed link ties the starting battery to where the chargers give.
    const tied = s.u.closed.size > 0 && side === (s.plan.aside ? 'aside' : 'house');
    const holds = !allLimited(s, side) || tied || s.givers.some((g) => g.side === side && s.u.modes.get(g.id) === 'holding');
    if (!holds) for (const x of s.strings) if (x.side === side) s.u.limited.delete(x.id);
  }
}

/** A giver holds its volts, or gives all it has, or is pressed off by others. */
function learnGivers(s: Settling, solved: Solved): boolean {
  const { u } = s;
  let changed = false;
  for (const g of s.givers) {
    const mode = u.modes.get(g.id)!;
    if (mode === 'cut out') continue;
    const volt = s.across(solved, g.plus, g.minus);
    const holding = solved.branchAmp[g.id] ?? 0;
    const most = g.sunOnly ? Math.min(g.limitA, g.sunW / Math.max(volt, 1)) : g.limitA;
    let next: GiverMode = mode;
    if (mode === 'holding') next = holding < -1e-9 ? 'off' : holding > most + 1e-6 ? (g.sunOnly && most < g.limitA ? 'all its sun' : 'all its amps') : mode;
    else if (mode === 'off') next = volt < g.setV - 1e-6 ? 'holding' : mode;
    else if (volt > g.setV + 1e-9) next = 'holding';
    else if (mode === 'all its sun' && g.sunW / volt > g.limitA + 1e-9) next = 'all its amps';
    if (next !== mode) {
      u.modes.set(g.id, next);
      changed = true;
    }
  }
  freeBank(s);
  return changed;
}

/** A converter takes what it gives over its efficiency, and cuts out when its feed falls too low. */
function learnInputs(s: Settling, solved: Solved): boolean {
  let changed = false;
  for (const g of s.givers) {
    if (!g.input) continue;
    const was = s.u.inW.get(g.id) ?? 0;
    const inV = s.across(solved, g.input.plus, g.input.minus);
    const out = s.outA(solved, g) * s.across(solved, g.plus, g.minus);
    if (was > 0 && inV < g.input.cutOutV && s.u.modes.get(g.id) !== 'cut out') {
      s.u.modes.set(g.id, 'cut out');
      s.u.inW.set(g.id, 0);
      changed = true;
      continue;
    }
    const now = Math.max(0, out - g.sunW) / g.input.efficiency;
    if (Math.abs(now - was) > 1e-9 * Math.max(1, was)) changed = true;
    s.u.inW.set(g.id, now);
  }
  return changed;
}

/** Sensing isolators open by the volts that they see, each by its own. */
function learnIsolators(s: Settling, solved: Solved): boolean {
  if (!s.u.closed.size || s.state.isolator !== 'by itself') return false;
  const volt = s.across(solved, 'starting+', 'starting-');
  // Once open one stays so while the state settles: its delays, not this moment, decide about closing again.
  const opening = s.links.filter((l) => s.u.closed.has(l.id) && volt < l.openV);
  for (const l of opening) s.u.closed.delete(l.id);
  return opening.length > 0;
}

/** Cables are as warm as their own current makes them. */
function learnHeat(s: Settling, solved: Solved): boolean {
  let most = 0;
  const { insulationC } = s.plan.design.settings;
  for (const { spec, figures } of s.plan.runs) {
    const amp = Math.abs(solved.branchAmp[feedId(spec.id)] ?? 0) / figures.perPole;
    const share = figures.ampacityA > 0 ? Math.min(1, amp / figures.ampacityA) : 1;
    const next = spec.ambientC + (insulationC - spec.ambientC) * share * share;
    most = Math.max(most, Math.abs(next - s.u.conductorC.get(spec.id)!));
    s.u.conductorC.set(spec.id, next);
  }
  return most > 0.01;
}

/** Takes over what a solution shows; true when something changed. */
export function applySolution(s: Settling, solved: Solved): boolean {
  const givers = learnGivers(s, solved);
  const changes = [learnBank(s, solved, !givers), learnInputs(s, solved), learnIsolators(s, solved), learnHeat(s, solved)];
  return givers || changes.some(Boolean);
}
