import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { BLANK_EXISTING, type Design, type Existing, FUNCTIONS, type GearFunction, SHIPPED_CATALOGUE } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { newId } from '../../data/new-id';
import { DesignService } from '../../data/design.service';
import { TracesTable } from './traces';
import { nextOrder } from '../../data/next-order';

/** What is in the vehicle already: gear kept, moved or removed with what it does, and the loom as it was traced. */
@Component({
  selector: 'mx-existing',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, NzSelectModule, NamedSelect, NumberField, Mark, TracesTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './existing.html',
  styleUrl: './existing.less',
})
export class ExistingSheet {
  protected readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly functions = FUNCTIONS;
  protected readonly verdicts = ['keep', 'move', 'remove'] as const;
  protected readonly parts = SHIPPED_CATALOGUE.parts;
  protected readonly gear = computed(() => {
    const lost = this.assessments.openAssessment().supply.lost;
    return this.sorted(this.designs.openDesign().brief.existing).map(([id, e]) => ({ id, e, lost: lost.filter((l) => l.existing === id) }));
  });

  private sorted<T extends { readonly order: number }>(of: Readonly<Record<string, T>>): [string, T][] {
    return Object.entries(of).sort(([, a], [, b]) => a.order - b.order);
  }

  protected add(): void {
    this.designs.edit('gear in it already', (d) => (d.brief.existing[newId()] = { name: '', ...BLANK_EXISTING, order: nextOrder(d.brief.existing) }));
  }

  protected change(id: string, label: string, change: Partial<Existing>): void {
    this.designs.edit(label, (d: Design) => {
      const gear = d.brief.existing[id];
      if (gear) Object.assign(gear, change);
    });
  }

  protected setOwn(id: string, e: Existing, own: Partial<Existing['own']>): void {
    this.change(id, 'its own data', { own: { ...e.own, ...own } });
  }

  protected setPart(id: string, part: string | null, e: Existing): void {
    const of = SHIPPED_CATALOGUE.parts.find((p) => p.id === part);
    this.change(id, 'part of the catalogue', { part, ...(of && !e.name ? { name: of.name } : {}), ...(of && e.kg === null ? { kg: of.kg } : {}) });
  }

  protected setDoes(id: string, e: Existing, f: GearFunction, does: boolean): void {
    this.change(id, 'what it does', { does: FUNCTIONS.filter((x) => (x === f ? does : e.does.includes(x))) });
  }

  protected sign(id: string, e: Existing, f: GearFunction, by: string): void {
    const omitted = { ...e.omitted };
    if (by.trim()) omitted[f] = by;
    else delete omitted[f];
    this.change(id, 'signed omission', { omitted });
  }

  protected remove(id: string, name: string): void {
    this.designs.edit(`${name || 'gear'} off the list`, (d) => delete d.brief.existing[id]);
  }
}
