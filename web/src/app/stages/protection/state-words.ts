import { chargingLink, figure, stringNode, type BatteryResult, type CircuitState, type GiverMode, type NoState, type StateFigures } from '@meridex/core';
import type { LineState } from '../../pictures/line-diagram';

/** What a state says on each line: amps, and the volts that arrive. */
export function lineStates(r: StateFigures, numbers: ReadonlyMap<string, number>): ReadonlyMap<string, LineState> {
  const runs = r.runs.map((x): [string, LineState] => [x.id, { amp: x.amp, words: [`${numbers.get(x.id)} · ${figure(Math.abs(x.amp), 1)} A`, `${figure(x.toV, 2)} V`] }]);
  // The charging selector stands on one of its contacts: the other carries nothing.
  const onFirst = (r.state.bank === 'first') === (r.state.charges === 'the bank in use');
  const linkOf = (id: string): string => (id === 'charging' ? chargingLink(onFirst ? 1 : 2) : `${id}:link`);
  const links = Object.entries(r.inlineA).map(([id, amp]): [string, LineState] => [linkOf(id), { amp: id === 'charging' ? -amp : amp, words: [] }]);
  return new Map([...runs, ...links]);
}

export const MODE_WORDS: Readonly<Record<GiverMode, string>> = { off: 'waits', 'cut out': 'cut out', 'all its amps': 'gives all', 'all its sun': 'gives all sun', holding: 'holds' };

/** What stands beside each symbol in a state. */
export function symbolWords(r: StateFigures): ReadonlyMap<string, string> {
  const out = new Map<string, string>();
  for (const b of r.batteries) {
    const many = r.batteries.filter((x) => x.gear === b.gear).length > 1;
    const node = stringNode(b.gear, many ? b.string : null);
    out.set(node, `${figure(b.volt, 2)} V · ${figure(Math.abs(b.amp), 1)} A`);
  }
  for (const g of r.givers) out.set(g.id, g.mode === 'off' || g.mode === 'cut out' ? MODE_WORDS[g.mode] : `${figure(g.volt, 2)} V · ${figure(g.amp, 1)} A`);
  for (const l of r.loads) out.set(l.id, l.live ? `${figure(l.volt, 2)} V` : 'dark');
  const inverter = r.loads.find((l) => l.id === 'inverter');
  if (inverter?.live) out.set('inverter', `${figure(inverter.volt, 2)} V · ${figure(inverter.amp, 1)} A`);
  return out;
}

/** What a bank does, in its strings together. */
function bankSum(name: string, strings: readonly BatteryResult[]): string {
  const amp = strings.reduce((sum, b) => sum + b.amp, 0);
  const volt = strings.length ? strings.reduce((sum, b) => sum + b.volt, 0) / strings.length : 0;
  if (Math.abs(amp) < 0.05) return `${name} rests at ${figure(volt, 2)} V`;
  return amp > 0 ? `${name} gives ${figure(amp, 1)} A at ${figure(volt, 2)} V` : `${name} takes ${figure(-amp, 1)} A at ${figure(volt, 2)} V`;
}

/** The answer first: what gives, what takes, what is left over for the battery. */
export function stateSum(r: StateFigures | NoState): string {
  if (!r.ok) return r.say;
  const aside = r.batteries.filter((b) => b.aside);
  const battery = bankSum(
    aside.length ? 'the bank in use' : 'the bank',
    r.batteries.filter((b) => b.string !== null && !b.aside),
  );
  const other = aside.length ? [bankSum('the other one', aside)] : [];
  const givers = r.givers.filter((g) => g.id !== 'alternator').map((g) => `${g.name} ${MODE_WORDS[g.mode]}${g.amp > 0 ? `, ${figure(g.amp, 1)} A` : ''}`);
  const lit = r.loads.filter((l) => l.live && l.id !== 'vehicle');
  const least = lit.reduce<(typeof lit)[number] | null>((low, l) => (!low || l.volt < low.volt ? l : low), null);
  return [battery, ...other, ...givers, ...(least ? [`least at ${least.name}: ${figure(least.volt, 2)} V`] : [])].join(' · ');
}

/** Choices of each part of a state, with their names. */
export const STATE_PARTS: readonly {
  readonly key: 'engine' | 'charging' | 'sun' | 'air' | 'isolator' | 'mainSwitch' | 'disconnect' | 'bank' | 'charges';
  readonly name: string;
  readonly of: readonly string[];
}[] = [
  { key: 'engine', name: 'engine', of: ['off', 'idle', 'cruise'] },
  { key: 'sun', name: 'sun', of: ['none', 'dull', 'full'] },
  { key: 'charging', name: 'chargers', of: ['off', 'bulk', 'absorption'] },
  { key: 'air', name: 'day', of: ['mild', 'hot'] },
  { key: 'isolator', name: 'isolator', of: ['by itself', 'open', 'closed'] },
  { key: 'mainSwitch', name: 'main switch', of: ['closed', 'open'] },
  { key: 'disconnect', name: 'disconnect', of: ['closed', 'open'] },
  { key: 'bank', name: 'bank in use', of: ['first', 'second'] },
  { key: 'charges', name: 'charge into', of: ['the bank in use', 'the other bank'] },
];

/** The name of a state, where it has one. */
export function nameOf(state: CircuitState, named: Readonly<Record<string, CircuitState>>): string | null {
  const key = JSON.stringify(state);
  return Object.entries(named).find(([, s]) => JSON.stringify(s) === key)?.[0] ?? null;
}
