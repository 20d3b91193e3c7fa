import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type Design, EXHAUST_MM, type Hazard, HAZARD_WORDS, HAZARDS, readVehicleFile, troubleInWords, type Vehicle, vehicleOf, vehicleTroubles, WEATHERS, writeVehicleFile } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { VehiclePicture } from '../../pictures/vehicle-picture';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { saveFile } from '../../data/save-file';
import { OwnVehiclesService } from './own-vehicles.service';

type Sheet = 'size' | 'zones' | 'faces' | 'waypoints' | 'ways' | 'openings';
const OWN_ID = /[^a-z0-9-]+/g;

/** Takes over what was said; an emptied number stays as it was. */
function assignSaid(target: object, change: object): void {
  for (const [key, value] of Object.entries(change)) if (value !== null) (target as Record<string, unknown>)[key] = value;
}

/** The vehicle of this job as data: its dimensions, zones, waypoints, ways and lids; kept for the next one of its kind. */
@Component({
  selector: 'mx-vehicle-data',
  imports: [FormsModule, NzCheckboxModule, NzSelectModule, NamedSelect, NumberField, Mark, VehiclePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicle.html',
  styleUrl: './vehicle.less',
})
export class VehicleDataSheet {
  private readonly designs = inject(DesignService);
  protected readonly own = inject(OwnVehiclesService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly weathers = WEATHERS;
  protected readonly allHazards = HAZARDS;
  protected readonly hazardWords = HAZARD_WORDS;
  protected readonly sheets: readonly { readonly id: Sheet; readonly name: string }[] = [
    { id: 'size', name: 'size and axles' },
    { id: 'zones', name: 'zones' },
    { id: 'faces', name: 'walls and floors' },
    { id: 'waypoints', name: 'waypoints' },
    { id: 'ways', name: 'ways' },
    { id: 'openings', name: 'lids and drawers' },
  ];
  protected readonly sheet = signal<Sheet>('size');
  protected readonly sizes = [
    { key: 'lengthMm', name: 'Length' },
    { key: 'widthMm', name: 'Width' },
    { key: 'heightMm', name: 'Height' },
  ] as const;
  protected readonly boxKeys = ['x', 'y', 'z', 'l', 'w', 'h'] as const;
  protected readonly pointKeys = ['x', 'y', 'z'] as const;
  protected readonly says = signal<string | null>(null);
  protected readonly vehicle = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly isOwn = computed(() => this.designs.openDesign().vehicle !== null);
  protected readonly troubles = computed(() => vehicleTroubles(this.vehicle()).map(troubleInWords));
  /** Ways with the kinds of their hazards, and the distance of an exhaust: only of that does it decide. */
  protected readonly ways = computed(() => this.vehicle().ways.map((way) => ({ way, kinds: way.hazards.map((h) => h.kind), exhaust: way.hazards.find((h) => h.kind === 'exhaust') ?? null })));

  constructor() {
    void this.own.load();
  }

  /** Changes the job's own copy, which begins as the shipped vehicle. */
  protected change(label: string, change: (v: Vehicle) => void): void {
    const refused = this.designs.edit(label, (d: Design) => {
      d.vehicle ??= structuredClone(this.vehicle());
      change(d.vehicle);
    });
    this.says.set(refused);
  }

  protected setHazards(i: number, kinds: readonly Hazard[]): void {
    this.change('hazards of a way', (v) => {
      const before = v.ways[i]!.hazards;
      v.ways[i]!.hazards = kinds.map((kind) => before.find((h) => h.kind === kind) ?? { kind, nearMm: kind === 'exhaust' ? EXHAUST_MM : 0 });
    });
  }

  protected setExhaust(i: number, mm: number | null): void {
    if (mm !== null) this.change('distance of the exhaust', (v) => v.ways[i]!.hazards.filter((h) => h.kind === 'exhaust').forEach((h) => (h.nearMm = mm)));
  }

  protected setFace(i: number, change: Partial<Record<'w' | 'h' | 'limitKg', number | null>>): void {
    this.change('a wall', (v) => assignSaid(v.faces[i]!, change));
  }

  /** No depth: not known, look before drilling. */
  protected setDepth(i: number, mm: number | null): void {
    this.change('room behind a wall', (v) => (v.faces[i]!.depthBehindMm = mm));
  }

  protected sayFace(i: number, key: 'name' | 'trim', event: Event): void {
    const said = (event.target as HTMLInputElement).value.trim();
    this.change(`${key} of a wall`, (v) => (v.faces[i]![key] = said));
  }

  protected renameOpening(i: number, event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    this.change('name of a lid', (v) => (v.openings[i]!.name = name));
  }

  private freshId(wanted: string, taken: readonly { readonly id: string }[]): string {
    const base =
      wanted
        .toLowerCase()
        .replace(OWN_ID, '-')
        .replace(/^[^a-z]+/, '') || 'new';
    for (let n = 1; ; n++) {
      const id = n === 1 ? base.slice(0, 36) : `${base.slice(0, 34)}-${n}`;
      if (!taken.some((t) => t.id === id)) return id;
    }
  }

  protected addWaypoint(): void {
    this.change('a waypoint', (v) => {
      const near = v.waypoints[v.waypoints.length - 1]!;
      const id = this.freshId('new-waypoint', v.waypoints);
      v.waypoints.push({ ...near, id, name: 'new waypoint', at: { ...near.at, x: near.at.x + 300 } });
      v.ways.push({ id: this.freshId(`${near.id}-${id}`, v.ways), a: near.id, b: id, along: 'new way', moreMm: 0, ambientC: 50, hazards: [], conduit: true, pass: null, movingMm: 0, coupling: false });
    });
    this.sheet.set('waypoints');
  }

  protected removeWaypoint(id: string): void {
    this.change('a waypoint taken out', (v) => {
      v.waypoints = v.waypoints.filter((w) => w.id !== id);
      v.ways = v.ways.filter((w) => w.a !== id && w.b !== id);
      v.points = v.points.filter((p) => p.waypoint !== id);
    });
  }

  protected addWay(): void {
    this.change('a way', (v) => {
      const [a, b] = [v.waypoints[0]!, v.waypoints[v.waypoints.length - 1]!];
      v.ways.push({ id: this.freshId(`${a.id}-${b.id}`, v.ways), a: a.id, b: b.id, along: 'new way', moreMm: 0, ambientC: 50, hazards: [], conduit: true, pass: null, movingMm: 0, coupling: false });
    });
  }

  protected addZone(): void {
    this.change('a zone', (v) => {
      const like = v.zones[v.zones.length - 1]!;
      const id = this.freshId('new-zone', v.zones);
      const box = { ...like.box, x: like.box.x + 200, z: Math.max(0, like.box.z - 100), l: 400, w: 400, h: 300 };
      v.zones.push({ ...like, id, name: 'new zone', box });
      v.faces.push({
        id: this.freshId(`${id}-floor`, v.faces),
        zone: id,
        name: 'floor of the new zone',
        normal: '+z',
        at: { x: box.x, y: box.y, z: box.z },
        w: box.l,
        h: box.w,
        limitKg: 40,
        depthBehindMm: null,
        trim: '',
        protrusions: [],
      });
      v.waypoints.push({ id: this.freshId(`${id}-point`, v.waypoints), name: 'new zone', at: { x: box.x, y: box.y, z: box.z }, carrier: like.carrier, zone: id });
    });
  }

  protected addOpening(): void {
    this.change('a lid', (v) => {
      const zone = v.zones[0]!;
      v.openings.push({
        id: this.freshId('new-lid', v.openings),
        kind: 'lid',
        name: 'new lid',
        zone: zone.id,
        sweep: { ...zone.box, z: zone.box.z + zone.box.h, h: 400 },
        travelMm: 0,
        holds: 'hinge',
      });
    });
  }

  protected remove(list: 'zones' | 'ways' | 'openings', id: string): void {
    this.change('taken out of the vehicle', (v) => {
      (v[list] as { id: string }[]) = (v[list] as { id: string }[]).filter((x) => x.id !== id);
      if (list !== 'zones') return;
      v.faces = v.faces.filter((f) => f.zone !== id);
      v.keep = v.keep.filter((k) => k.round !== id);
    });
  }

  /** A zone's walls follow its box. */
  protected resize(id: string, change: Partial<Vehicle['zones'][number]['box']>): void {
    this.change('size of a zone', (v) => {
      const zone = v.zones.find((z) => z.id === id)!;
      const before = { ...zone.box };
      Object.assign(zone.box, change);
      const b = zone.box;
      for (const k of v.keep) if (k.round === id) k.box = { ...b };
      for (const f of v.faces.filter((x) => x.zone === id)) {
        const flatWall = f.normal[1] === 'z';
        f.at.x = f.normal === '-x' ? b.x + b.l : f.at.x - before.x + b.x;
        f.at.y = f.normal === '-y' ? b.y + b.w : f.at.y - before.y + b.y;
        f.at.z = f.normal === '-z' ? b.z + b.h : f.at.z - before.z + b.z;
        f.w += f.normal[1] === 'x' ? b.w - before.w : b.l - before.l;
        f.h += flatWall ? b.w - before.w : b.h - before.h;
      }
    });
  }

  protected one(key: 'x' | 'y' | 'z' | 'l' | 'w' | 'h', value: number): Partial<Vehicle['zones'][number]['box']> {
    return { [key]: value };
  }

  protected rename(event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    this.change('name of the vehicle', (v) => (v.name = name));
  }

  protected setSize(key: 'lengthMm' | 'widthMm' | 'heightMm', mm: number): void {
    this.change('size of the vehicle', (v) => (v[key] = mm));
  }

  protected setAxle(i: number, change: Partial<Record<'x' | 'emptyKg' | 'limitKg', number | null>>): void {
    this.change('an axle', (v) => assignSaid(v.axles[i]!, change));
  }

  protected renameZone(i: number, event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    this.change('name of a zone', (v) => (v.zones[i]!.name = name));
  }

  protected setZone(i: number, change: Partial<Record<'ambientC' | 'weather', unknown>>): void {
    this.change('a zone', (v) => assignSaid(v.zones[i]!, change));
  }

  protected renameWaypoint(i: number, event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    this.change('name of a waypoint', (v) => (v.waypoints[i]!.name = name));
  }

  protected setWaypointZone(i: number, zone: string | null): void {
    this.change('zone of a waypoint', (v) => (v.waypoints[i]!.zone = zone));
  }

  protected setPoint(i: number, key: 'x' | 'y' | 'z', mm: number | null): void {
    if (mm !== null) this.change('place of a waypoint', (v) => (v.waypoints[i]!.at[key] = mm));
  }

  protected setWay(i: number, change: Partial<Record<'a' | 'b' | 'moreMm' | 'ambientC' | 'conduit', unknown>>): void {
    this.change('a way', (v) => assignSaid(v.ways[i]!, change));
  }

  protected setSweep(i: number, key: 'x' | 'y' | 'z' | 'l' | 'w' | 'h', mm: number | null): void {
    if (mm !== null) this.change('a sweep', (v) => (v.openings[i]!.sweep[key] = mm));
  }

  protected async use(id: string): Promise<void> {
    const vehicle = await this.own.open(id);
    if (vehicle) this.take(vehicle);
  }

  protected save(): void {
    const v = this.vehicle();
    saveFile(`${v.name.toLowerCase().replace(OWN_ID, '-')}.vehicle.json`, [writeVehicleFile(v)], 'application/json');
  }

  protected async read(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    const read = readVehicleFile(await file.text());
    if (!read.ok) {
      this.says.set(`${file.name}: ${read.message}`);
      return;
    }
    this.take(read.vehicle);
    this.says.set(read.warnings.length ? `${file.name}: ${read.warnings.join(' ')}` : null);
  }

  protected take(vehicle: Vehicle): void {
    this.designs.edit(`vehicle “${vehicle.name}”`, (d) => {
      d.vehicle = vehicle;
    });
  }

  protected back(): void {
    this.designs.edit('the shipped vehicle', (d) => {
      d.vehicle = null;
    });
  }
}
