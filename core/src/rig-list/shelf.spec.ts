import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design } from '../design/index.js';
import { doCommands } from '../commands/index.js';
import { SECOND_BANK, SHELF } from './shelf.js';

/** Rules about volts that a thing from the shelf must not break. */
const VOLTS = ['wrong-volts', 'panels-too-low'];
/** Made for 12 V alone: a rule stops them elsewhere. */
const FOR_12_V = ['three-input charger', 'portable panel'];
const found = (d: Design): number => assess(d, catalogueOf(d)).open.filter((f) => VOLTS.includes(f.rule)).length;
/** A 24 V truck with a 24 V house side, the same with a 12 V one, and a 12 V ute. */
const truck = DEMO_JOBS.find((j) => j.key === 'cinema')!.design;
const jobs: readonly (readonly [name: string, design: Design])[] = [
  ['a 24 V truck', truck],
  ['a 12 V ute', DEMO_JOBS.find((j) => j.key === 'vet')!.design],
];

describe('the shelf', () => {
  it('brings a second bank with a selector rated as what stood there, where it had one position', () => {
    const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
    const done = doCommands(design, SECOND_BANK.asked(design));
    if (!done.ok) throw new Error(done.message);
    expect(done.design.switchgear['switch']!.part).toBe('sel-500');
    expect(done.design.banks['second']!.selector).toBe('switch');
    expect(assess(done.design, catalogueOf(done.design)).open.some((f) => f.rule === 'selector-missing')).toBeFalse();
  });

  for (const [name, design] of jobs)
    for (const item of [...SHELF, SECOND_BANK].filter((i) => design.supply.houseV === 12 || !FOR_12_V.includes(i.short)))
      it(`${item.words}, for ${name}: is of its volts`, () => {
        const done = doCommands(design, item.asked(design));
        if (!done.ok) throw new Error(done.message);
        expect(found(done.design)).toBe(found(design));
      });
});
