import { DatePipe } from '@angular/common';
import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { type Contact, type Customer, type CustomerJob, mayNot } from '@meridex/contract';
import { VEHICLE_TEMPLATES, type VehicleKind } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { inWordsOf } from '../../data/asks-server';
import { CustomersService } from '../../data/customers.service';
import { SessionService } from '../../data/session.service';

/** A vehicle of a customer with what was done in it, the newest first. */
interface OwnVehicle {
  readonly name: string;
  readonly jobs: readonly CustomerJob[];
}

const contactOf = ({ phone, email, address, note }: Contact): Contact => ({ phone, email, address, note });
/** Within a customer a plate is a vehicle; without one those of a kind cannot be told apart. */
const vehicleKey = ({ vehicleKind, plate }: CustomerJob): string => plate.trim().toUpperCase() || vehicleKind;
const vehicleName = ({ vehicleKind, plate }: CustomerJob): string => [VEHICLE_TEMPLATES[vehicleKind as VehicleKind]?.name ?? vehicleKind, plate.trim()].filter(Boolean).join(' · ');

function vehiclesOf(jobs: readonly CustomerJob[]): readonly OwnVehicle[] {
  const by = new Map<string, CustomerJob[]>();
  for (const j of jobs) by.set(vehicleKey(j), [...(by.get(vehicleKey(j)) ?? []), j]);
  return [...by.values()].map((all) => ({ name: vehicleName(all[0]!), jobs: all }));
}

/** Who the workshop works for: how each is reached, their vehicles, and what was done in them. */
@Component({
  selector: 'mx-customers',
  imports: [DatePipe, FormsModule, NzInputModule, RouterLink, Strip, SyncBars],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './customers.html',
  styleUrl: './customers.less',
})
export class CustomersPage {
  private readonly service = inject(CustomersService);
  private readonly session = inject(SessionService);
  private readonly router = inject(Router);
  /** The customer of the address; none: the first that is found. */
  readonly customerId = input<string>();
  protected readonly all = signal<readonly Customer[] | null>(null);
  protected readonly find = signal('');
  protected readonly says = signal<string | null>(null);
  protected readonly told = signal<string | null>(null);
  /** What is typed and not kept, by customer: it stays while another is looked at. */
  private readonly typed = signal<ReadonlyMap<string, Contact>>(new Map());
  /** Why one may not change it; null: one may. */
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'settle jobs'));

  protected readonly found = computed(() => {
    const wanted = this.find().trim().toLowerCase();
    const says = (c: Customer): string => [c.name, c.phone, c.email, c.address, c.note, ...c.jobs.map(vehicleName)].join(' ').toLowerCase();
    return (this.all() ?? []).filter((c) => says(c).includes(wanted));
  });
  protected readonly chosen = computed(() => this.found().find((c) => c.id === this.customerId()) ?? this.found()[0] ?? null);
  protected readonly contact = computed((): Contact | null => {
    const c = this.chosen();
    return c && (this.typed().get(c.id) ?? contactOf(c));
  });
  protected readonly changed = computed(() => {
    const c = this.chosen();
    return c !== null && JSON.stringify(this.contact()) !== JSON.stringify(contactOf(c));
  });
  protected readonly vehicles = computed(() => vehiclesOf(this.chosen()?.jobs ?? []));

  constructor() {
    this.service.all().subscribe({ next: (all) => this.all.set(all), error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)) });
  }

  protected jobsWord(n: number): string {
    return n === 1 ? '1 job' : `${n} jobs`;
  }

  protected choose(id: string): void {
    this.says.set(null);
    this.told.set(null);
    void this.router.navigate(['/customers', id]);
  }

  protected set(change: Partial<Contact>): void {
    const [c, now] = [this.chosen(), this.contact()];
    if (!c || !now) return;
    this.told.set(null);
    this.typed.update((all) => new Map(all).set(c.id, { ...now, ...change }));
  }

  protected keep(): void {
    const [c, contact] = [this.chosen(), this.contact()];
    if (!c || !contact) return;
    const kept: Contact = { phone: contact.phone.trim(), email: contact.email.trim(), address: contact.address.trim(), note: contact.note.trim() };
    this.says.set(null);
    this.service.keep(c.id, kept).subscribe({
      next: () => {
        this.all.update((all) => all && all.map((x) => (x.id === c.id ? { ...x, ...kept } : x)));
        this.typed.update((all) => new Map([...all].filter(([id]) => id !== c.id)));
        this.told.set(`Kept: how ${c.name} is reached.`);
      },
      error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)),
    });
  }
}
