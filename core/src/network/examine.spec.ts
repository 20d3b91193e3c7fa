import { examine, solveCircuit, type Circuit, type CircuitRemark } from './index.js';

type Parts = Partial<Omit<Circuit, 'ground' | 'nodes'>>;

/** A circuit of these parts, its nodes taken from them. */
function circuit(parts: Parts): Circuit {
  const { resistors = [], sources = [], loads = [] } = parts;
  const nodes = new Set(['g', ...resistors.flatMap((r) => [r.a, r.b]), ...[...sources, ...loads].flatMap((s) => [s.plus, s.minus])]);
  return { ground: 'g', nodes: [...nodes], resistors, sources, loads };
}

const remarks = (parts: Parts): CircuitRemark[] => {
  const c = circuit(parts);
  return examine(c, solveCircuit(c));
};
const battery = (id: string, volt: number, plus = 'p', minus = 'g'): Circuit['sources'][number] => ({ id, plus, minus, volt, ohm: 0.005 });
const wire = (id: string, a: string, b: string, ohm = 0.01): Circuit['resistors'][number] => ({ id, a, b, ohm });

describe('what is odd about a circuit', () => {
  it('is nothing for a plain run', () =>
    expect(remarks({ sources: [battery('b', 12.8)], resistors: [wire('out', 'p', 'l+'), wire('back', 'l-', 'g')], loads: [{ id: 'l', plus: 'l+', minus: 'l-', kind: 'current', value: 5 }] })).toEqual(
      [],
    ));

  it('is a short across a source, by name, with its amps', () => {
    const [r] = remarks({ sources: [battery('b1', 12.8)], resistors: [wire('out', 'p', 'x'), wire('dropped spanner', 'x', 'g', 0.001)] });
    expect([r!.kind, ...r!.at]).toEqual(['short across source', 'b1', 'out', 'dropped spanner']);
    expect(r!.say).toBe('b1 is shorted from p to g by out, dropped spanner: up to 2560 A');
  });

  it('is a battery the wrong way round', () => {
    const out = remarks({ sources: [battery('b1', 12.8), battery('b2', 12.6, 'y', 'x')], resistors: [wire('plus', 'p', 'x'), wire('minus', 'y', 'g')] });
    expect(out.map((r) => [r.kind, r.at[0]])).toEqual([['reversed source', 'b2']]);
    expect(out[0]!.say).toContain('25.4 V drive a short through both');
  });

  it('is 12 V tied to 24 V, but not a flat battery beside a full one', () => {
    const tied = (volt: number): string[] => remarks({ sources: [battery('b1', 12.8), battery('b2', volt, 'x')], resistors: [wire('link', 'p', 'x')] }).map((r) => r.kind);
    expect(tied(25.6)).toEqual(['unlike volts tied']);
    expect(tied(10.4)).toEqual([]);
  });

  it('is not two batteries in series', () => expect(remarks({ sources: [battery('b1', 12.8, 'm', 'g'), battery('b2', 12.8, 'p', 'n')], resistors: [wire('link', 'm', 'n')] })).toEqual([]));

  it('is a load without its return or feed', () => {
    const half = (plus: string, minus: string): string[] =>
      remarks({ sources: [battery('b', 12.8)], resistors: [wire('out', 'p', 'l+')], loads: [{ id: 'lamp', plus, minus, kind: 'power', value: 10 }] }).map((r) => r.say);
    expect(half('l+', 'nowhere')).toEqual(['lamp has no return: nothing joins nowhere to g']);
    expect(half('nowhere', 'g')).toEqual(['lamp has no feed: nothing joins nowhere to g']);
    expect(half('l+', 'l+')).toEqual(['lamp has both ends on l+: nothing drives it']);
  });

  it('is a second contact round a switch: opening one parts nothing', () => {
    const out = remarks({ sources: [battery('b', 12.8)], resistors: [wire('switch', 'p', 'x', 0.0002), wire('bypass', 'p', 'y'), wire('bypass switch', 'y', 'x', 0.0002)] });
    expect(out.map((r) => r.kind)).toEqual(['loop of conductors']);
    expect(new Set(out[0]!.at)).toEqual(new Set(['switch', 'bypass', 'bypass switch']));
  });

  it('is lost digits', () => {
    const out = remarks({ sources: [battery('b', 12.8)], resistors: [wire('bar', 'p', 'x', 1e-6), wire('leak', 'x', 'g', 1e4)] });
    expect(out.map((r) => r.kind)).toEqual([]);
    expect(remarks({ sources: [battery('b', 12.8)], resistors: [wire('bar', 'p', 'x', 1e-12), wire('leak', 'x', 'y', 1e7), wire('end', 'y', 'g', 1e7)] }).map((r) => r.kind)).toEqual([
      'ill-conditioned',
    ]);
  });

  it('is found among ten thousand elements', () => {
    const resistors = Array.from({ length: 5000 }, (_, i) => wire(`r${i}`, i ? `n${i - 1}` : 'p', `n${i}`, 0.001));
    const loads = Array.from({ length: 5000 }, (_, i): Circuit['loads'][number] => ({ id: `l${i}`, plus: `n${i}`, minus: i === 4321 ? 'lost' : 'g', kind: 'current', value: 0.0001 }));
    const c = circuit({ sources: [battery('b', 12.8)], resistors, loads });
    expect(examine(c, solveCircuit(c)).map((r) => r.say)).toEqual(['l4321 has no return: nothing joins lost to g']);
    const whole = { ...c, nodes: c.nodes.filter((n) => n !== 'lost'), loads: loads.filter((l) => l.id !== 'l4321') };
    const r = solveCircuit(whole);
    if (!r.ok) throw new Error(r.error);
    expect(r.branchAmp['b']).toBeCloseTo(4999 * 0.0001, 9);
    // What each stretch drops is known in closed form: the loads behind it, times its ohms.
    const dropV = Array.from({ length: 5000 }, (_, i) => 0.001 * 0.0001 * (5000 - i - (i <= 4321 ? 1 : 0))).reduce((s, v) => s + v, 0);
    expect(r.nodeVolt['p']! - r.nodeVolt['n4999']!).toBeCloseTo(dropV, 9);
  });
});
