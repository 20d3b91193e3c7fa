import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, settle, NAMED_STATES, type CircuitState } from '../circuit/index.js';
import { editDesign, copyDesign, type Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import { EXAMPLE_RIGS } from './rigs.js';

const { design } = EXAMPLE_RIGS.find((r) => r.key === 'van-power-unit')!;
const a = assess(design, SHIPPED_CATALOGUE);
const plan = circuitPlan(design, SHIPPED_CATALOGUE, a)!;

/** What leaves the unit's cells in a state, A; below 0: they are charged. */
function cellsA(state: CircuitState): number {
  const settled = settle(plan, state);
  if (!settled.ok) throw new Error(settled.error);
  const amp = settled.solved.branchAmp['battery1'];
  return amp ?? -(settled.circuit.loads.find((l) => l.id === 'battery1')?.value ?? 0);
}

describe('a power unit, battery, chargers and inverter in one box', () => {
  it('is one piece of gear, one line to buy, and wants no cable between its own halves', () => {
    expect(plant(design, SHIPPED_CATALOGUE).converters.map((c) => c.inside?.id)).toEqual(['house', 'house']);
    expect(a.gear.filter((g) => ['charger', 'inverter'].includes(g.role))).toEqual([]);
    expect(a.order.lines.filter((l) => /power unit/.test(l.what)).map((l) => l.quantity)).toEqual([1]);
    expect(a.runs.filter((r) => r.spec.role === 'charger output' || r.spec.role === 'inverter feed')).toEqual([]);
  });
  it('takes vehicle and panels at terminals of its own', () => {
    const at = (role: string): string | undefined => a.runs.find((r) => r.spec.role === role)?.spec.to.plus;
    expect([at('charger feed'), at('panel lead')]).toEqual(['house.in+', 'house.sun+']);
  });
  it('fuses its output for no more than that bears', () => {
    const main = a.runs.find((r) => r.spec.role === 'bank lead')!;
    expect(main.spec.limitingParts.some((p) => p.ratingA === 100)).toBeTrue();
  });
  it('charges from the engine, from the sun and from the mains, and its inverter draws on it', () => {
    for (const name of ['driving, loads on', 'parked in the sun', 'on mains'] as const)
      expect(cellsA({ ...NAMED_STATES[name]!, loads: 'off' }))
        .withContext(name)
        .toBeLessThan(0);
    const parked = { ...NAMED_STATES['parked, everything on']! };
    const outlets = Object.entries(design.loads).find(([, l]) => l.supply === 'mains')![0];
    expect(cellsA({ ...parked, loads: { only: [outlets] } })).toBeGreaterThan(100);
  });

  const findings = (d: Design): string[] =>
    assess(d, SHIPPED_CATALOGUE)
      .open.filter((f) => f.rule === 'unit-inside')
      .map((f) => String(f.values['trouble']));
  it('without what it has inside is a stop, and a press puts it in', () => {
    const odd = copyDesign(design);
    delete odd.converters['unit-inverter'];
    expect(findings(odd)).toEqual(['missing']);
    const [press] = assess(odd, SHIPPED_CATALOGUE).open.find((f) => f.rule === 'unit-inside')!.presses;
    const mended = editDesign(odd, press!.patch);
    expect(mended.ok && findings(mended.design)).toEqual([]);
  });
  it('taken away leaves nothing of itself, and shares its bank with no other battery', () => {
    const odd = copyDesign(design);
    odd.banks['house']!.batteries['house']!.part = 'bat-lfp-200';
    expect(findings(odd)).toEqual(['left over', 'left over']);
    const two = copyDesign(design);
    two.banks['house']!.batteries['house']!.count = 2;
    expect(findings(two)).toEqual(['beside another']);
  });
});
