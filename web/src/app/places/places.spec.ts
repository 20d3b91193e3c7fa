import { onBench } from '../testing/bench';
import { PlacesStage } from './places';

describe('the places stage', () => {
  it('lists all gear with its zone, heat and people', async () => {
    const { element, bench } = await onBench(PlacesStage, 'bookmobile');
    expect(element.querySelectorAll('tbody tr').length).toBe(bench.assessment()!.gear.length);
    expect(element.textContent).toContain('usual place');
  });

  it('moves gear by its zone, and heat and cable follow', async () => {
    const { fixture, bench } = await onBench(PlacesStage, 'vet');
    const ampacity = (): number => {
      const r = bench.assessment()!.runs.find((x) => x.spec.id === 'charger-bus')!;
      return r.ok ? r.figures.ampacityA / r.figures.areaMm2 : 0;
    };
    const before = ampacity();
    (fixture.componentInstance as unknown as { place(gear: string, name: string, zone: string): void }).place('charger', 'charger', 'engine');
    expect(bench.design()!.places).toEqual({ charger: 'engine' });
    expect(bench.labels).toEqual(['charger to the engine bay']);
    expect(ampacity()).not.toBe(before);
  });

  it('lights the gear that is picked in the picture', async () => {
    const { element, click } = await onBench(PlacesStage, 'vet');
    await click(element.querySelectorAll('.gear')[2]!);
    expect(element.querySelectorAll('tr.chosen').length).toBe(1);
    expect(element.querySelectorAll('.gear.chosen').length).toBe(1);
  });
});
