import { boxGear, SHIPPED_CATALOGUE, vehicleOf, writeVehicleFile } from '@meridex/core';
import { type OnBench, onBench } from '../../testing/bench';
import { VehicleDataSheet } from './vehicle';

const waitFor = async (b: OnBench<unknown>, done: () => boolean): Promise<void> => {
  for (let i = 0; i < 50 && !done(); i++) {
    await new Promise((resolve) => setTimeout(resolve, 10));
    await b.settle();
  }
};

describe('the vehicle as data', () => {
  let b: OnBench<VehicleDataSheet>;
  const tab = (name: string): Promise<void> => b.click([...b.element.querySelectorAll('.tabs button')].find((t) => t.textContent === name) ?? null);
  const field = (label: string): Element | null => b.element.querySelector(`[aria-label="${label}"]`);
  const button = (text: string): Element | null => [...b.element.querySelectorAll('button')].find((x) => x.textContent!.includes(text)) ?? null;
  const own = () => b.bench.openDesign().vehicle!;
  const choose = async (name: string, text: string): Promise<void> => {
    const input = field('Read a vehicle file') as HTMLInputElement;
    const files = new DataTransfer();
    files.items.add(new File([text], name));
    input.files = files.files;
    input.dispatchEvent(new Event('change'));
    await waitFor(b, () => b.element.querySelector('.stop') !== null || b.bench.openDesign().vehicle !== null);
  };

  beforeEach(async () => {
    b = await onBench(VehicleDataSheet, 'vet');
  });

  it('makes the job’s own copy at the first change, and gives the shipped one back', async () => {
    expect(b.bench.openDesign().vehicle).toBeNull();
    await b.type(field('Height of the vehicle'), '2100');
    expect(own().heightMm).toBe(2100);
    expect(b.element.textContent).toContain('This job’s own copy');
    await b.click(button('back to the shipped one'));
    expect(b.bench.openDesign().vehicle).toBeNull();
  });

  it('a longer way makes its runs longer, or has them go round', async () => {
    b.bench.edit('free', (d) => delete d.runs['start-charger']);
    const length = () => b.bench.openAssessment().runs.find((r) => r.spec.id === 'start-charger')!.spec;
    const before = length();
    const way = vehicleOf(b.bench.openDesign()).ways.findIndex((w) => before.route!.ways.some((x) => x.id === w.id));
    await tab('ways');
    await b.type(field(`More of way ${way + 1}`), '1500');
    expect(length().outM).toBeGreaterThan(before.outM);
  });

  it('a new waypoint is joined to the rest; taken out, its ways go with it', async () => {
    const ways = vehicleOf(b.bench.openDesign()).ways.length;
    await tab('waypoints');
    await b.click(button('Add a waypoint'));
    expect(own().ways.length).toBe(ways + 1);
    await b.click(field('Take out new waypoint'));
    expect(own().ways.length).toBe(ways);
  });

  it('the wall of a box follows its zone, and goes with it', async () => {
    const boxed = boxGear(b.bench.openDesign(), SHIPPED_CATALOGUE, ['house'], { name: 'battery box', weather: 'dry', airMm: 40, sealed: false });
    if (!boxed.ok) throw new Error(boxed.message);
    b.bench.edit('a box', (d) => void Object.assign(d, { vehicle: boxed.design.vehicle, places: boxed.design.places }));
    await b.settle();
    await tab('zones');
    await b.type(field('l of battery box'), '900');
    expect(own().keep.find((k) => k.round === 'box-1')!.box).toEqual(own().zones.find((z) => z.id === 'box-1')!.box);
    expect(own().keep.find((k) => k.round === 'box-1')!.box.l).toBe(900);
    await b.click(field('Take out battery box'));
    expect(own().keep.some((k) => k.round === 'box-1')).toBeFalse();
  });

  it('walls follow their zone, and a lone zone is told of', async () => {
    const zone = vehicleOf(b.bench.openDesign()).zones.find((z) => z.id === 'canopy')!;
    await tab('zones');
    await b.type(field(`l of ${zone.name}`), `${zone.box.l - 100}`);
    const before = vehicleOf({ ...b.bench.openDesign(), vehicle: null });
    const floor = (v: typeof before) => v.faces.find((f) => f.id === 'canopy-floor')!.w;
    expect(floor(own())).toBe(floor(before) - 100);
    await b.click(button('Add a zone'));
    expect(b.element.querySelector('.say')!.textContent).toMatch(/new zone/);
  });

  it('refuses a name that is taken away, in words', async () => {
    const name = field('Name of the vehicle') as HTMLInputElement;
    name.value = '';
    name.dispatchEvent(new Event('change'));
    await b.settle();
    expect(b.element.querySelector('[role=alert]')!.textContent).toMatch(/name/);
    expect(b.bench.openDesign().vehicle).toBeNull();
  });

  it('reads a file that it wrote, and says of a wrong one what is wrong', async () => {
    const v = structuredClone(vehicleOf(b.bench.openDesign()));
    v.name = 'low canopy ute';
    await choose('low.json', writeVehicleFile(v));
    expect(own().name).toBe('low canopy ute');
    b.bench.edit('back', (d) => (d.vehicle = null));
    await b.settle();
    await choose('bad.json', writeVehicleFile({ ...v, lengthMm: -5 }));
    expect(b.element.querySelector('.stop')!.textContent).toMatch(/bad\.json: lengthMm: from 1 mm is accepted; came -5\./);
    expect(b.bench.openDesign().vehicle).toBeNull();
  });
});
