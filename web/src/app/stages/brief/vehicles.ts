import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  type Asked,
  bodyOf,
  catalogueOf,
  type Coupling,
  couplingsOf,
  type Design,
  doCommands,
  enginesFor,
  figure,
  isLead,
  type JoinedResult,
  leadHours,
  OWN,
  patchBetween,
  plant,
  rating,
  turnsWords,
  VEHICLE_KINDS,
  VEHICLE_TEMPLATES,
  vehicleIds,
  vehicleIn,
  type VehicleKind,
  vehicleName,
} from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';

/** How a new vehicle joins those that are there. */
const JOINS = { taken: 'is charged by it', carries: 'charges it', apart: 'not joined' } as const;
type Join = keyof typeof JOINS;

/** What is built into a new vehicle to begin with. */
const RIGS = { usual: 'a rig of its own', none: 'nothing, it carries' } as const;

/** What joins two vehicles, in words. */
const CARRIES: Readonly<Record<Coupling['carries'], string>> = {
  charge: 'charge from the engine, by a plug',
  mains: 'mains from the inverter, by a lead',
  dc: 'DC from the bank to a charger, by a lead',
};

/** The vehicles of a job and what joins them; what their banks go through together. */
const WHICH = { only: '', first: ', first bank', second: ', second bank' } as const;

@Component({
  selector: 'mx-vehicles-sheet',
  imports: [FormsModule, NzInputModule, Choice, NumberField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicles.html',
  styleUrl: './vehicles.less',
})
export class VehiclesSheet {
  protected readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  protected readonly figure = figure;
  protected readonly OWN = OWN;
  protected readonly refused = signal<string | null>(null);
  protected readonly trip = signal<JoinedResult | null>(null);

  protected readonly kinds = VEHICLE_KINDS;
  protected readonly kindWords = (k: VehicleKind): string => VEHICLE_TEMPLATES[k].name;
  protected readonly joins = Object.keys(JOINS) as readonly Join[];
  protected readonly joinWords = (j: Join): string => JOINS[j];
  protected readonly rigs = Object.keys(RIGS) as readonly (keyof typeof RIGS)[];
  protected readonly rigWords = (r: keyof typeof RIGS): string => RIGS[r];
  protected readonly carries = Object.keys(CARRIES) as readonly Coupling['carries'][];
  protected readonly carriesWords = (c: Coupling['carries']): string => CARRIES[c];

  /** What is about to be added. */
  protected readonly kind = signal<VehicleKind>('caravan');
  protected readonly name = signal('');
  protected readonly join = signal<Join>('taken');
  protected readonly rig = signal<keyof typeof RIGS>('usual');
  protected readonly from = signal(OWN);
  protected readonly to = signal('');
  protected readonly carry = signal<Coupling['carries']>('mains');

  protected readonly ids = computed(() => vehicleIds(this.designs.openJob()));
  protected readonly nameOf = (id: string): string => (this.ids().includes(id) ? vehicleName(this.designs.openJob(), id) : 'choose one');
  protected readonly bodyShown = computed(() => bodyOf(this.designs.openJob(), this.designs.vehicle()));
  protected readonly others = computed(() => this.ids().filter((id) => id !== this.from()));
  protected readonly shownTo = computed(() => (this.others().includes(this.to()) ? this.to() : (this.others()[0] ?? '')));

  protected readonly rows = computed(() => {
    const job = this.designs.openJob();
    return this.ids().map((id) => {
      const view = vehicleIn(job, id);
      const engines = enginesFor(job, id);
      const body = bodyOf(job, id);
      const by =
        body !== id
          ? `in the body of the ${this.nameOf(body)}, on its engine`
          : engines.length
            ? `charged by the ${engines.map((e) => this.nameOf(e)).join(' or the ')}, ${this.ofEngine(view)}`
            : this.engineOf(view);
      return {
        id,
        name: this.nameOf(id),
        typed: id === OWN ? null : job.vehicles[id]!.name,
        plate: bodyOf(job, id) === id ? view.brief.plate : '',
        says: `${Object.keys(view.banks).length ? `${view.supply.houseV} V rig` : 'no rig'} · ${by}`,
      };
    });
  });

  /** The engine that a vehicle has, or that nothing of it hangs on one. */
  private engineOf(view: Design): string {
    const [own] = plant(view, catalogueOf(view)).vehicles;
    return own?.joined || !Object.keys(view.banks).length ? `its own engine, ${this.ofEngine(view)}` : 'charged by no engine';
  }

  private readonly ofEngine = ({ brief: { vehicleV, alternator } }: Design): string => `${vehicleV} V, ${rating(alternator.ratedA)} A`;

  protected readonly joined = computed(() => {
    const job = this.designs.openJob();
    return couplingsOf(job).map(([id, c]) => ({
      id,
      lead: isLead(c),
      dc: c.inlet === null ? null : (vehicleIn(job, c.to).inlets[c.inlet]?.dc ?? null),
      words: `${{ charge: 'plug: engine of the ', mains: 'mains lead: ', dc: 'DC lead: ' }[c.carries]}${this.nameOf(c.from)} → ${this.nameOf(c.to)}`,
      hours: leadHours(job, c)
        .map(([a, b]) => `${figure(a, 0)}–${figure(b, 0)} h`)
        .join(', '),
      floor: 100 * c.floorSoc,
    }));
  });

  /** What each bank goes through, sums over the trip. */
  protected readonly banks = computed(() => {
    const t = this.trip();
    const job = this.designs.job();
    if (!t || !job) return [];
    const days = job.brief.trip.days;
    const perDay = (list: readonly number[] | undefined): number => (list ?? []).reduce((s, x) => s + x, 0) / days;
    const byLead = new Set(t.banks.map((b) => b.id));
    return t.banks
      .filter(({ vehicle }) => this.ids().includes(vehicle))
      .map(({ id, vehicle, which }) => {
        const b = t.result.banks[id]!;
        const from = (isLead: boolean): number => Object.entries(b.sourceAh).reduce((s, [source, ah]) => s + (byLead.has(source) === isLead ? perDay(ah) : 0), 0);
        return {
          id,
          name: this.nameOf(vehicle) + WHICH[which],
          low: 100 * b.minSoc,
          end: 100 * b.finalSoc,
          loads: perDay(b.loadAh),
          byLead: from(true),
          other: from(false),
          given: perDay(b.givenAh),
          off: b.criticalOffH,
        };
      });
  });
  /** How often somebody turns selectors, of the vehicles with two banks. */
  protected readonly turned = computed(() => {
    const days = this.designs.openJob().brief.trip.days;
    return Object.entries(this.trip()?.turned ?? {})
      .filter(([id]) => this.ids().includes(id))
      .map(([id, { loads, charging }]) => `${this.nameOf(id)}: ${turnsWords({ loads, charging: charging ?? 0 }, charging !== null, days)}`);
  });
  protected readonly rests = computed(() => Object.entries(this.trip()?.restsH ?? {}).filter(([id, h]) => h >= 1 && this.designs.openJob().couplings[id]));

  constructor() {
    effect(() => {
      const job = this.designs.job();
      if (job) void this.analysis.ask({ what: 'joined trip', design: job }).then((t) => this.designs.job() === job && this.trip.set(t));
    });
  }

  private done(words: string, asked: readonly Asked[]): boolean {
    const job = this.designs.openJob();
    const all = doCommands(job, asked);
    this.refused.set(all.ok ? null : all.message.replace(/^commands\.\d+\./, ''));
    if (!all.ok || !patchBetween(job, all.design).length) return false;
    this.refused.set(this.designs.editJob(words, (d) => Object.assign(d, all.design)));
    return this.refused() === null;
  }

  protected add(): void {
    const job = this.designs.openJob();
    const [kind, at] = [this.kind(), this.bodyShown()];
    let id: string = kind;
    for (let n = 2; id in job.vehicles; n++) id = `${kind}-${n}`;
    const couple: Asked[] = this.join() === 'taken' ? [{ do: 'couple', with: { from: at, to: id } }] : this.join() === 'carries' ? [{ do: 'couple', with: { from: id, to: at } }] : [];
    const asked: Asked[] = [{ do: 'addVehicle', with: { id, vehicleKind: kind, name: this.name().trim(), vehicleV: kind === 'light-truck' ? 24 : 12, rig: this.rig() } }, ...couple];
    if (this.done(`another vehicle: ${this.name().trim() || this.kindWords(kind)}`, asked)) this.name.set('');
  }

  /** Another rig in the vehicle that is shown, which is shown from then on. */
  protected addRig(): void {
    const job = this.designs.openJob();
    const body = bodyOf(job, this.designs.vehicle());
    let id = 'rig';
    for (let n = 2; id in job.vehicles; n++) id = `rig-${n}`;
    if (this.done(`another rig in the ${this.nameOf(body)}`, [{ do: 'addRig', with: { id, vehicle: body } }])) this.designs.lookAt(id);
  }

  protected rename(id: string, name: string): void {
    this.refused.set(this.designs.editJob('name of the vehicle', (d) => void (d.vehicles[id]!.name = name)));
  }

  protected takeOut(id: string): void {
    this.done(`without the ${this.nameOf(id)}`, [{ do: 'removeVehicle', with: { vehicle: id } }]);
  }

  protected couple(): void {
    this.done(`${this.nameOf(this.from())} and ${this.nameOf(this.shownTo())} joined`, [{ do: 'couple', with: { from: this.from(), to: this.shownTo(), carries: this.carry() } }]);
  }

  protected uncouple(id: string, words: string): void {
    this.done(`without the ${words}`, [{ do: 'uncouple', with: { coupling: id } }]);
  }

  /** Plugs or loose cable of a DC lead; its outlet’s plug is of the same size. */
  protected setLead(id: string, set: { readonly mostA?: number; readonly leadM?: number }): void {
    this.refused.set(
      this.designs.editJob('plugs and cable of the lead', (d) => {
        const c = d.couplings[id]!;
        const [giver, taker] = [c.from, c.to].map((v) => (v === OWN ? d : d.vehicles[v]!));
        const dc = c.inlet === null ? null : taker!.inlets[c.inlet]!.dc;
        if (dc) Object.assign(dc, set);
        const outlet = c.outlet === null ? undefined : giver!.loads[c.outlet];
        if (outlet && set.mostA !== undefined) outlet.plugA = set.mostA;
      }),
    );
  }

  protected readonly plugs = [50, 175] as const;
  protected readonly plugWords = (a: number): string => `${a} A`;

  protected setFloor(id: string, percent: number | null): void {
    this.refused.set(this.designs.editJob('floor of the lead', (d) => void (d.couplings[id]!.floorSoc = (percent ?? 50) / 100)));
  }
}
