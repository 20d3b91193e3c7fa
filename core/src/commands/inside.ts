import { portsIn, type Catalogue } from '../catalogue/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { takeOut } from './take-out.js';
import { freshId, lastOrder, mainsInlet } from './things.js';

/** What a unit is found to lack, or what is left of one that is gone: a converter's part, or its id. */
export interface InsideTrouble {
  readonly bank: string;
  /** Name of the unit, or of what was built into one. */
  readonly name: string;
  readonly trouble: 'missing' | 'left over';
}

/** Parts of the catalogue that are built into a bank's batteries. */
const wantedIn = (d: Design, catalogue: Catalogue, bank: string): readonly string[] =>
  Object.values(d.banks[bank]?.batteries ?? {}).flatMap((b) => (b.part === null ? [] : catalogue.parts.filter((p) => p.inside === b.part).map((p) => p.id)));

const nameIn = (catalogue: Catalogue, id: string | null): string => catalogue.parts.find((p) => p.id === id)?.name ?? String(id);

/** Power units whose chargers and inverter are not in the rig, and such as are there without their unit. */
export function insideTroubles(d: Design, catalogue: Catalogue): InsideTrouble[] {
  const builtIn = Object.values(d.converters).filter((c) => catalogue.parts.some((p) => p.id === c.part && p.inside !== undefined));
  const missing = Object.entries(d.banks).flatMap(([bank]): InsideTrouble[] =>
    wantedIn(d, catalogue, bank)
      .filter((part) => !builtIn.some((c) => c.part === part && c.bank === bank))
      .map((part) => ({ bank, name: nameIn(catalogue, part), trouble: 'missing' })),
  );
  const left = builtIn.filter((c) => !wantedIn(d, catalogue, c.bank ?? '').includes(c.part ?? ''));
  return [...missing, ...left.map((c): InsideTrouble => ({ bank: c.bank ?? '', name: nameIn(catalogue, c.part), trouble: 'left over' }))];
}

/** Puts into a draft what a power unit has inside, fed by the vehicle and by the inlet, and takes out what its unit took along. */
export function fitInside(d: Design, catalogue: Catalogue): void {
  for (const [id, c] of Object.entries(copyDesign(d).converters)) {
    const part = catalogue.parts.find((p) => p.id === c.part);
    if (part?.inside !== undefined && !wantedIn(d, catalogue, c.bank ?? '').includes(part.id)) takeOut(d, id, catalogue);
  }
  for (const bank of Object.keys(d.banks))
    for (const part of wantedIn(d, catalogue, bank)) {
      if (Object.values(d.converters).some((c) => c.part === part && c.bank === bank)) continue;
      const charger = portsIn(catalogue, part)?.dcIn !== null;
      d.converters[freshId(d, undefined, charger ? 'unit-charger' : 'unit-inverter')] = {
        order: lastOrder(d.converters),
        name: '',
        part,
        bank,
        from: charger ? { in: 'vehicles', id: 'starting' } : null,
        inlet: charger ? null : mainsInlet(d),
        half: false,
        trigger: 'ignition wire',
        inhibit: false,
      };
    }
}
