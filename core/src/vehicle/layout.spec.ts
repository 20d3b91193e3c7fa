import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { VEHICLE_KINDS } from '../design/index.js';
import { draftGear } from '../places/index.js';
import { layOut, pathLengthM, runPath } from './layout.js';
import { VEHICLE_TEMPLATES } from './index.js';

describe('gear in the vehicle’s picture', () => {
  for (const kind of VEHICLE_KINDS) {
    it(`lies inside its zones and on nothing else: ${kind}`, () => {
      const template = VEHICLE_TEMPLATES[kind];
      const design = structuredClone(DEMO_JOBS[1]!.design);
      design.brief.vehicleKind = kind;
      const gear = draftGear(design, SHIPPED_CATALOGUE);
      expect(gear.length).toBeGreaterThan(8);
      for (const [i, g] of gear.entries()) {
        const zone = template.zones.find((z) => z.id === g.zone)!;
        expect(g.x >= zone.x - 1e-6 && g.x + g.w <= zone.x + zone.w + 1e-6)
          .withContext(g.name)
          .toBeTrue();
        expect(g.y >= zone.y - 1e-6 && g.y + g.h <= zone.y + zone.h + 1e-6)
          .withContext(g.name)
          .toBeTrue();
        for (const other of gear.slice(i + 1)) {
          const apart = g.x + g.w <= other.x || other.x + other.w <= g.x || g.y + g.h <= other.y || other.y + other.h <= g.y;
          expect(apart).withContext(`${g.name} and ${other.name}`).toBeTrue();
        }
      }
    });
  }
  it('has a usual zone for every sort of gear', () => {
    for (const t of Object.values(VEHICLE_TEMPLATES))
      for (const zone of Object.values(t.usual))
        expect(t.zones.some((z) => z.id === zone))
          .withContext(`${t.kind} ${zone}`)
          .toBeTrue();
  });
  it('is never reached by less cable than the straight way', () => {
    const t = VEHICLE_TEMPLATES['canopy-ute'];
    const [a, b] = layOut(t, [
      { id: 'a', zone: 'engine', w: 200, h: 150 },
      { id: 'b', zone: 'canopy', w: 200, h: 150 },
    ]);
    const straightM = Math.hypot(a!.x - b!.x, a!.y - b!.y) / 1000;
    expect(pathLengthM(runPath(t, a!, b!, 0))).toBeGreaterThan(straightM);
  });
});
