import type { Circuit } from '../network/index.js';

/** Names of nodes in a netlist: letters, digits and underscores; the ground is 0. */
function nodeNames(c: Circuit): ReadonlyMap<string, string> {
  const names = new Map<string, string>([[c.ground, '0']]);
  const used = new Set(['0']);
  for (const n of c.nodes) {
    if (names.has(n)) continue;
    const plain = n
      .replace(/\+$/, '_p')
      .replace(/-$/, '_n')
      .replace(/[^A-Za-z0-9]/g, '_')
      .toLowerCase();
    let name = plain;
    for (let i = 2; used.has(name); i++) name = `${plain}_${i}`;
    used.add(name);
    names.set(n, name);
  }
  return names;
}

/** Volts that a constant power is held above where none are known, V. */
const LEAST_V = 1;

const element = (kind: string, id: string): string => `${kind}${id.replace(/[^A-Za-z0-9]/g, '_').toLowerCase()}`;

/**
 * A circuit as a SPICE netlist: sources behind their resistance, constant currents, and constant powers as a behavioural
 * current P/V, held below half of their solved volts so that a simulator that starts from 0 V finds its way: there is no
 * other root above. Solved for its operating point, as by `ngspice -b`, it gives the same volts.
 * @example netlist({ ground: 'g', nodes: ['g', 'a'], resistors: [], sources: [{ id: 's', plus: 'a', minus: 'g', volt: 12, ohm: 0.1 }], loads: [] }, 'one battery').split('\n')[2] // 'vs s__inside 0 12'
 */
export function netlist(c: Circuit, title: string, volts: Readonly<Record<string, number>> = {}): string {
  const names = nodeNames(c);
  const at = (n: string): string => names.get(n) ?? n;
  const lines = [`* ${title.replace(/[\r\n]+/g, ' ')}`, '* volts against node 0; drawn from the design as planned'];
  for (const s of c.sources) {
    if (!Number.isFinite(s.ohm)) continue;
    const inside = `${element('', s.id)}__inside`;
    lines.push(`${element('v', s.id)} ${inside} ${at(s.minus)} ${s.volt}`, `${element('r', s.id)}__own ${inside} ${at(s.plus)} ${s.ohm}`);
  }
  for (const r of c.resistors) lines.push(`${element('r', r.id)} ${at(r.a)} ${at(r.b)} ${r.ohm}`);
  for (const l of c.loads) {
    const [p, m] = [at(l.plus), at(l.minus)];
    if (l.kind === 'current') lines.push(`${element('i', l.id)} ${p} ${m} ${l.value}`);
    else if (l.kind === 'resistance') lines.push(`${element('r', l.id)} ${p} ${m} ${l.value}`);
    else {
      const halfV = Math.max(LEAST_V, ((volts[l.plus] ?? 0) - (volts[l.minus] ?? 0)) / 2);
      lines.push(`${element('b', l.id)} ${p} ${m} I=${l.value}/max(V(${p},${m}),${halfV})`);
    }
  }
  return [...lines, '.op', '.end', ''].join('\n');
}
