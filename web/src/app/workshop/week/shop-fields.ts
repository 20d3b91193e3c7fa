import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { ShopWeek } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NumberField } from '../../ui/number-field';
import { newId } from '../../data/new-id';
import { DayList } from './day-list';

type Person = ShopWeek['people'][number];

/** The workshop's bays, people and days. */
@Component({
  selector: 'mx-shop-fields',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, DayList, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shop-fields.html',
  styleUrl: './shop-fields.less',
})
export class ShopFields {
  readonly week = input.required<ShopWeek>();
  readonly may = input(true);
  readonly changed = output<Partial<ShopWeek>>();
  protected readonly noSaturday = (day: Date): boolean => day.getDay() !== 6;

  protected bay(at: number, name: string): void {
    const { bays, jobs } = this.week();
    const before = bays[at]!;
    if (!name.trim() || bays.includes(name.trim())) return;
    // What is promised there stays there.
    const moved = Object.fromEntries(Object.entries(jobs).map(([id, j]) => [id, j.fixed?.bay === before ? { ...j, fixed: { ...j.fixed, bay: name.trim() } } : j]));
    this.changed.emit({ bays: bays.map((b, i) => (i === at ? name.trim() : b)), jobs: moved });
  }

  protected addBay(): void {
    const { bays } = this.week();
    let n = bays.length + 1;
    while (bays.includes(`Bay ${n}`)) n++;
    this.changed.emit({ bays: [...bays, `Bay ${n}`] });
  }

  protected withoutBay(at: number): void {
    this.changed.emit({ bays: this.week().bays.filter((_, i) => i !== at) });
  }

  protected person(id: string, change: Partial<Person>): void {
    if (change.name !== undefined && !change.name.trim()) return;
    this.changed.emit({ people: this.week().people.map((p) => (p.id === id ? { ...p, ...change } : p)) });
  }

  protected addPerson(): void {
    const { people } = this.week();
    this.changed.emit({ people: [...people, { id: newId(), name: `Person ${people.length + 1}`, skill: 'any', away: [] }] });
  }

  protected withoutPerson(id: string): void {
    this.changed.emit({ people: this.week().people.filter((p) => p.id !== id) });
  }
}
