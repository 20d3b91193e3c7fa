import fc from 'fast-check';
import { DEMO_JOBS } from '../demo/index.js';
import { VEHICLE_KINDS, vehicleSchema, type Face, type Vehicle } from '../design/index.js';
import { boxesMeet, faceBox, facePoint, mirroredFromFront, readVehicleFile, troubleInWords, VEHICLE_TEMPLATES, vehicleOf, vehicleTroubles, writeVehicleFile } from './index.js';

const ute = (): Vehicle => structuredClone(VEHICLE_TEMPLATES['canopy-ute']);
const GRACE_MM = 60;

describe('the shipped vehicles', () => {
  for (const kind of VEHICLE_KINDS) {
    const v = VEHICLE_TEMPLATES[kind];
    it(`${kind} is sound by its schema and as a whole`, () => {
      expect(vehicleSchema.safeParse(v).error?.issues[0]).toBeUndefined();
      expect(vehicleTroubles(v)).toEqual([]);
    });
    it(`${kind} has its zones and waypoints within its outline`, () => {
      for (const z of v.zones)
        expect(z.box.x >= 0 && z.box.x + z.box.l <= v.lengthMm && z.box.y >= 0 && z.box.y + z.box.w <= v.widthMm && z.box.z + z.box.h <= v.heightMm + 300)
          .withContext(z.name)
          .toBeTrue();
      for (const w of v.waypoints)
        expect(w.at.x <= v.lengthMm && w.at.y >= 0 && w.at.y <= v.widthMm && w.at.z >= 0 && w.at.z <= v.heightMm)
          .withContext(w.name)
          .toBeTrue();
    });
    it(`${kind} has every face on its zone, and every waypoint of a zone in it`, () => {
      for (const f of v.faces) {
        const z = v.zones.find((x) => x.id === f.zone)!;
        expect(boxesMeet({ x: z.box.x - 1, y: z.box.y - 1, z: z.box.z - 1, l: z.box.l + 2, w: z.box.w + 2, h: z.box.h + 2 }, faceBox(f, { u: 0, v: 0, w: f.w, h: f.h, outMm: 5 })))
          .withContext(f.name)
          .toBeTrue();
      }
      for (const w of v.waypoints) {
        const z = v.zones.find((x) => x.id === w.zone)?.box;
        if (!z) continue;
        const inside =
          w.at.x >= z.x - GRACE_MM && w.at.x <= z.x + z.l + GRACE_MM && w.at.y >= z.y - GRACE_MM && w.at.y <= z.y + z.w + GRACE_MM && w.at.z >= z.z - GRACE_MM && w.at.z <= z.z + z.h + GRACE_MM;
        expect(inside).withContext(w.name).toBeTrue();
      }
    });
    it(`${kind} comes back from its file as it was`, () => {
      const read = readVehicleFile(writeVehicleFile(v));
      expect(read.ok && read.vehicle).toEqual(structuredClone(v));
      expect(read.ok && read.warnings).toEqual([]);
    });
  }
  it('are the ones of every demo job', () => {
    for (const j of DEMO_JOBS) expect(vehicleOf(j.design)).toBe(VEHICLE_TEMPLATES[j.design.brief.vehicleKind]);
  });
});

describe('a vehicle file', () => {
  it('is refused in words that name the field, what came and what is accepted', () => {
    const bad = (change: (v: Record<string, never>) => void): string => {
      const v = ute() as unknown as Record<string, never>;
      change(v);
      const read = readVehicleFile(JSON.stringify(v));
      return read.ok ? 'taken' : read.message;
    };
    expect(readVehicleFile('{"format": 1,').ok).toBeFalse();
    expect(bad((v) => ((v as unknown as { format: number }).format = 9))).toBe('format: format 1 is accepted; came 9.');
    expect(bad((v) => ((v as unknown as { lengthMm: number }).lengthMm = -5))).toBe('lengthMm: from 1 mm is accepted; came -5.');
    expect(bad((v) => delete (v as { zones?: unknown }).zones)).toMatch(/^zones: .*; nothing came\.$/);
    expect(bad((v) => ((v as unknown as Vehicle).waypoints[2]!.at.x = 1e9))).toMatch(/^waypoints › 2 › at › x: up to 20000 mm is accepted; came 1000000000/);
    expect(bad((v) => ((v as unknown as Vehicle).side.body[0] = '<script>'))).toMatch(/^side › body › 0: an SVG path is accepted/);
  });

  it('never throws, whatever came: read, or refused with a message', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        const read = readVehicleFile(text);
        expect(read.ok || read.message.length > 10).toBeTrue();
      }),
      { numRuns: 200 },
    );
  });

  it('with any one value replaced is read or refused, and what is read can be judged as a whole', () => {
    const paths: (string | number)[][] = [];
    const walk = (x: unknown, path: (string | number)[]): void => {
      if (typeof x === 'object' && x !== null) for (const [k, y] of Object.entries(x)) walk(y, [...path, Array.isArray(x) ? Number(k) : k]);
      else paths.push(path);
    };
    walk(VEHICLE_TEMPLATES.caravan, []);
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.oneof(fc.integer(), fc.string(), fc.constant(null), fc.boolean(), fc.double()), (path, value) => {
        const v = structuredClone(VEHICLE_TEMPLATES.caravan) as unknown;
        let at = v as Record<string | number, unknown>;
        for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
        at[path[path.length - 1]!] = value;
        const read = readVehicleFile(JSON.stringify(v));
        if (read.ok) for (const t of vehicleTroubles(read.vehicle)) expect(troubleInWords(t).fix.length).toBeGreaterThan(8);
        else expect(read.message).toContain(String(path[0]));
      }),
      { numRuns: 300 },
    );
  });

  it('says what cannot be planned with', () => {
    const kinds = (change: (v: Vehicle) => void): string[] => {
      const v = ute();
      change(v);
      return [...new Set(vehicleTroubles(v).map((t) => t.kind))];
    };
    expect(kinds((v) => (v.ways = v.ways.filter((w) => w.a !== 'seat' && w.b !== 'seat')))).toEqual(['cut off']);
    expect(kinds((v) => v.ways.push({ ...v.ways[0]!, id: 'loop', b: v.ways[0]!.a }))).toEqual(['no length']);
    expect(kinds((v) => v.zones.push(v.zones[0]!))).toEqual(['twice']);
    expect(kinds((v) => (v.faces[0]!.zone = 'attic'))).toEqual(['unknown']);
    expect(kinds((v) => v.waypoints.forEach((w) => w.zone === 'roof' && (w.zone = null)))).toEqual(['no waypoint']);
    const van = structuredClone(VEHICLE_TEMPLATES.caravan);
    van.ways.forEach((w) => (w.coupling = false));
    expect(vehicleTroubles(van).map((t) => t.kind)).toEqual(['no coupling']);
  });
});

describe('a footprint on a face', () => {
  const face = (normal: Face['normal']): Face => ({
    id: 'f',
    zone: 'z',
    name: 'f',
    normal,
    at: { x: 1000, y: 200, z: 500 },
    w: 800,
    h: 600,
    limitKg: 10,
    depthBehindMm: null,
    trim: '',
    protrusions: [],
  });
  it('is a box of the same volume that stands out to the face’s own side', () => {
    const on = { u: 100, v: 50, w: 300, h: 200, outMm: 120 };
    for (const normal of ['+x', '-x', '+y', '-y', '+z', '-z'] as const) {
      const b = faceBox(face(normal), on);
      expect(b.l * b.w * b.h)
        .withContext(normal)
        .toBe(300 * 200 * 120);
      const low = { x: b.x - 1000, y: b.y - 200, z: b.z - 500 }[normal[1] as 'x' | 'y' | 'z'];
      expect(low)
        .withContext(normal)
        .toBe(normal.startsWith('-') ? -120 : 0);
    }
  });
  it('puts points out of the face along its normal', () => {
    expect(facePoint(face('+y'), 100, 50, 30)).toEqual({ x: 1100, y: 230, z: 550 });
    expect(facePoint(face('-x'), 100, 50, 30)).toEqual({ x: 970, y: 300, z: 550 });
    expect(facePoint(face('-z'), 100, 50, 30)).toEqual({ x: 1100, y: 250, z: 470 });
  });
  it('is seen mirrored where forward is at the right hand', () => {
    // Facing the left wall from inside, forward is right: u, which runs rearward, runs to the left.
    expect((['+x', '-x', '+y', '-y', '+z', '-z'] as const).filter((normal) => mirroredFromFront({ normal }))).toEqual(['-x', '+y', '-z']);
  });
});
