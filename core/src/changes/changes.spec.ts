import { DEMO_JOBS } from '../demo/index.js';
import { assess } from '../assess/index.js';
import { inWords } from '../rules/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { copyDesign, type Design, editDesign, OWN } from '../design/index.js';
import { doCommands } from '../commands/index.js';
import { difference, whatWouldChange } from './index.js';
import { fieldWords, valueWords } from './words.js';

const vet = (): Design => copyDesign(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
const against = (change: (d: Design) => void, vehicle?: string) => {
  const after = vet();
  change(after);
  return difference(vet(), after, vehicle);
};
const said = (d: ReturnType<typeof difference>): string[] => d.changed.map((c) => `${c.thing} | ${c.field} | ${c.from} → ${c.to}`);

describe('what changed from one revision to another', () => {
  it('is nothing where nothing did', () => {
    const d = against(() => undefined);
    expect([d.changed, d.came, d.gone, d.figures.filter((f) => f.from !== f.to)]).toEqual([[], [], [], []]);
  });
  it('is told by the name of the run and the length, with what it did to the drop', () => {
    const run = assess(vet(), SHIPPED_CATALOGUE).runs[0]!.spec;
    const d = against((x) => (x.runs[run.id] = { ...x.runs[run.id], outM: 17.4 }));
    expect(said(d)[0]).toMatch(`^${run.name} \\| length \\| (as drafted|\\d.*) → 17.4 m$`);
    const kg = d.figures.find((f) => f.what === 'Added')!;
    expect(Number(kg.to)).toBeGreaterThan(Number(kg.from));
  });
  it('names a load by its name, and a figure with its unit', () => {
    const d = against((x) => (x.loads['l1']!.draw = { by: 'plate', unit: 'W', value: 80 }));
    expect(said(d).join('\n')).toContain('Vaccine fridge | draw, value | ');
    expect(said(d).join('\n')).toContain('→ 80 W');
    const draws = d.figures.find((f) => f.what === 'Draws')!;
    expect(Number(draws.to)).toBeGreaterThan(Number(draws.from));
  });
  it('names a part by its name, not by its id', () => {
    const all = against((x) => {
      for (const block of Object.values(x.distribution)) if (block.part !== null) block.part = 'fb-6';
    });
    expect(said(all)).toEqual(['Fuse block | part | fuse block 12 ways → fuse block 6 ways']);
  });
  it('tells what was set by hand and what was signed for', () => {
    const d = against((x) => {
      x.places['load:l1'] = { zone: 'canopy', on: null, when: 'now' } as unknown as Design['places'][string];
      x.accepted['bend-too-tight:run'] = { by: 'the owner', reason: 'measured on the day', at: '2026-11-28' };
    });
    expect(said(d)).toEqual(['Vaccine fridge | place | as drafted → set by hand', 'Checks | finding | open → accepted by the owner: measured on the day']);
  });
  it('tells a thing that is new, one that is gone, and what was found with it', () => {
    const added = doCommands(vet(), [{ do: 'addArray', with: { part: 'pv-200' } }]);
    if (!added.ok) throw new Error(added.message);
    const forth = difference(vet(), added.design);
    const back = difference(added.design, vet());
    expect(said(forth).join('\n')).toContain('not in it → in it');
    expect(said(back).join('\n')).toContain('in it → not in it');
    expect([forth.came, forth.gone]).toEqual([back.gone, back.came]);
  });
  it('names a multi-core by its name, and tells its return', () => {
    const d = against((x) => (x.multicores['mc'] = { order: 1, name: 'roof cable', runs: ['load-l1', 'load-l2'], back: 'own', cores: null, colours: [] }));
    expect(said(d).some((line) => line.startsWith('Roof cable | '))).toBeTrue();
    const two = vet();
    two.multicores['mc'] = { order: 1, name: '', runs: ['load-l1', 'load-l2'], back: 'own', cores: null, colours: [] };
    const other = copyDesign(two);
    other.multicores['mc']!.back = 'common';
    expect(said(difference(two, other)).filter((line) => line.startsWith('Multi-core'))).toEqual(['Multi-core | back | own → common']);
  });
  it('says of another vehicle whose it is, and is seen through the first where one of them lacks it', () => {
    const made = doCommands(vet(), [
      { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper' } },
      { do: 'couple', with: { from: 'own', to: 'camper' } },
    ]);
    if (!made.ok) throw new Error(made.message);
    const after = copyDesign(made.design);
    after.vehicles['camper']!.brief.plate = 'CAMP 1';
    expect(said(difference(made.design, after, 'camper'))).toEqual([jasmine.stringMatching(/camper.*: Brief \| plate \| empty → CAMP 1/i)]);
    expect(said(difference(vet(), made.design, 'camper')).join('\n')).toMatch(/camper/i);
  });
});

describe('the words of a field and a value', () => {
  it('carry the unit of the figure’s name', () => {
    expect([fieldWords('inputLimitA'), fieldWords('outM'), fieldWords('sizeMm2'), fieldWords('name')].map((f) => `${f.words}|${f.unit}`)).toEqual(['input limit|A', 'length|m', 'size|mm²', 'name|']);
  });
  it('say what is empty, yes, none, or several', () => {
    const none = (): null => null;
    expect([undefined, '', true, 7.425, 12, [1, 2], { a: 1 }].map((v) => valueWords(v, 'm', none))).toEqual(['none', 'empty', 'yes', '7.42 m', '12 m', '2 entries', 'set']);
    expect(valueWords('bat-1', '', () => 'A battery')).toBe('A battery');
  });
});

describe('what a press would change', () => {
  const backedUp = () => assess(vet(), SHIPPED_CATALOGUE).open.find((f) => f.rule === 'fuse-cannot-break')!;
  it('is what the edit then does: what it ends, what it costs, and every cable and fuse that it makes another', () => {
    const d = whatWouldChange(vet(), OWN, backedUp().presses[0]!.patch);
    if (typeof d === 'string') throw new Error(d);
    expect(d.gone).toEqual([inWords(backedUp()).say]);
    const pressed = editDesign(vet(), backedUp().presses[0]!.patch);
    if (!pressed.ok) throw new Error(pressed.message);
    expect(d).toEqual(difference(vet(), pressed.design));
    expect(d.cables.some((c) => c.unit === 'A')).toBeTrue();
    const parts = d.figures.find((f) => f.what === 'Parts')!;
    expect(Number(parts.to)).toBeGreaterThan(Number(parts.from));
  });
  it('tells a thicker cable by its run', () => {
    const [run] = assess(vet(), SHIPPED_CATALOGUE).runs;
    const d = whatWouldChange(vet(), OWN, [{ op: 'add', path: `/runs/${run!.spec.id}`, value: { areaMm2: 70 } }]);
    if (typeof d === 'string') throw new Error(d);
    expect(d.cables.find((c) => c.what === run!.spec.name && c.unit === 'mm²')!.to).toBe('70');
  });
  it('is seen in the vehicle that it is made in', () => {
    const made = doCommands(vet(), [{ do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper' } }]);
    if (!made.ok) throw new Error(made.message);
    const d = whatWouldChange(made.design, 'camper', [{ op: 'replace', path: '/supply/houseV', value: 24 }]);
    if (typeof d === 'string') throw new Error(d);
    expect(said(d).join()).toContain('→ 24');
  });
  it('is refused in words where the edit cannot be made', () => {
    expect(whatWouldChange(vet(), OWN, [{ op: 'replace', path: '/supply/houseV', value: 13 }])).toContain('houseV');
  });
});
