import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { circuitPlan, isolationMap, PARKED, settle } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, type Design, type Load } from '../design/index.js';
import { loadFromLibrary } from '../loads/index.js';

const brake = loadFromLibrary('breakaway-brake', 90)!;
function rig(change: (d: Design) => void): { readonly design: Design; readonly a: ReturnType<typeof assess> } {
  const design = structuredClone(DEMO_JOBS.find((j) => j.key === 'playgroup')!.design);
  change(design);
  return { design, a: assess(design, catalogueOf(design)) };
}
const rearPlug: Load = { ...brake, name: 'rear plug', purpose: 'sockets', critical: false, feed: { by: 'battery', of: 'vehicle' } };

describe('a load straight off a battery', () => {
  const { design, a } = rig((d) => Object.assign(d.loads, { brake, rear: rearPlug }));
  const run = (id: string) => a.runs.find((r) => r.spec.id === `load-${id}`)!;

  it('has a run from the post itself, with its own fuse there, and its return behind the shunt', () => {
    const { spec } = run('brake');
    expect([spec.from.ref.in, spec.from.gear, spec.ends.map((e) => e.source)]).toEqual(['banks', 'house', ['house battery']]);
    const main = a.runs.find((r) => r.spec.role === 'bank lead' && r.spec.from.plus === spec.from.plus)!;
    expect(spec.from.minus).not.toBe(main.spec.from.minus);
    expect([run('brake').ok, run('rear').ok]).toEqual([true, true]);
    expect(run('rear').spec.from.ref.in).toBe('vehicles');
  });

  it('stays live with the main switch and the disconnect open, when all else is dark', () => {
    const plan = circuitPlan(design, catalogueOf(design), a)!;
    const r = settle(plan, { ...PARKED, mainSwitch: 'open', disconnect: 'open' });
    if (!r.ok) throw new Error(r.error);
    const live = r.loads.filter((l) => l.live).map((l) => l.name);
    expect(live).toEqual(['breakaway brake', 'rear plug']);
    for (const row of isolationMap(plan).rows.filter((x) => x.name === 'breakaway brake')) for (const cell of row.cells) expect(cell.by).toContain('house battery 1');
  });

  it('empties the battery that it hangs on', () => {
    const without = rig((d) => Object.assign(d.loads, { brake })).a;
    expect(a.supply.drains.some((x) => x.path.startsWith('rear plug, straight off'))).toBeTrue();
    expect(a.day.ahDay).toBeCloseTo(without.day.ahDay, 9);
    expect(a.supply.daysToNoCrank).toBeLessThan(without.supply.daysToNoCrank);
  });
});

describe('a breakaway brake', () => {
  it('behind a switch is a stop, mended at a press', () => {
    const { design, a } = rig((d) => Object.assign(d.loads, { brake: { ...brake, feed: { by: 'own' } } }));
    const found = a.open.find((f) => f.rule === 'breakaway-switched')!;
    expect(found.severity).toBe('stop');
    const pressed = editDesign(design, found.presses[0]!.patch);
    expect(pressed.ok && pressed.design.loads['brake']!.feed).toEqual({ by: 'battery', of: 'house' });
    expect(pressed.ok && assess(pressed.design, catalogueOf(pressed.design)).open.map((f) => f.rule)).not.toContain('breakaway-switched');
  });
});
