import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { BLANK_TRACE, nameOfArea, type Trace } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { cableSize } from '../../ui/cable-size';
import { NumberField } from '../../ui/number-field';
import { ReadField } from '../../ui/read-field';
import { AssessmentService } from '../../data/assessment.service';
import { newId } from '../../data/new-id';
import { DesignService } from '../../data/design.service';
import { nextOrder } from '../../data/next-order';

/** The loom, wire by wire as it was traced; a kept one can serve a run of the plan, with its own length and size. */
@Component({
  selector: 'mx-traces',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, NzSelectModule, NamedSelect, NumberField, ReadField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './traces.html',
  styles: `
    .head {
      display: flex;
      justify-content: space-between;
      align-items: center;
    }
    nz-select {
      width: 100%;
    }
    td {
      padding: 3px 3px !important;
    }
    input {
      padding: 2px 6px;
    }
    .more td {
      border-top: 0;
      padding-bottom: 10px !important;
    }
    .fields {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 14px;
      align-items: center;
    }
    .fields nz-select {
      width: 150px;
    }
    .fields mx-number {
      width: 84px;
    }
    .fields input.slot {
      width: 150px;
    }
    .n {
      width: 60px;
    }
    .s {
      width: 108px;
    }
  `,
})
export class TracesTable {
  protected readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly readSize = cableSize(300);
  protected readonly nameOfArea = nameOfArea;
  protected readonly lives = ['not tested', 'always', 'ignition on', 'accessory', 'lights on', 'never'] as const;
  protected readonly verdicts = ['undecided', 'keep', 'remove'] as const;
  protected readonly feeds = [
    { id: 'vehicle', name: 'the vehicle’s battery' },
    { id: 'house', name: 'the house battery' },
  ] as const;
  protected readonly runs = computed(() => this.assessments.openAssessment().runs.map((r) => ({ id: r.spec.id, name: `${r.spec.number} ${r.spec.name}` })));
  protected readonly wires = computed(() =>
    Object.entries(this.designs.openDesign().brief.traces)
      .sort(([, a], [, b]) => a.order - b.order)
      .map(([id, t]) => ({ id, t })),
  );

  protected add(): void {
    this.designs.edit('traced wire', (d) => (d.brief.traces[newId()] = { ...BLANK_TRACE, order: nextOrder(d.brief.traces) }));
  }

  protected change(id: string, label: string, change: Partial<Trace>): void {
    this.designs.edit(label, (d) => {
      const wire = d.brief.traces[id];
      if (wire) Object.assign(wire, change);
    });
  }

  /** The wire serves a run: the run takes its measured length and size, and says no more than was measured. */
  protected serve(id: string, t: Trace, run: string | null): void {
    this.designs.edit(run ? 'traced wire serves a run' : 'traced wire serves nothing', (d) => {
      Object.assign(d.brief.traces[id]!, { run, ...(run ? { verdict: 'keep' } : {}) });
      if (run) d.runs[run] = { ...d.runs[run], ...(t.lengthM === null ? {} : { outM: t.lengthM }), ...(t.areaMm2 === null ? {} : { areaMm2: t.areaMm2 }) };
    });
  }

  protected remove(id: string): void {
    this.designs.edit('traced wire off the list', (d) => {
      delete d.brief.traces[id];
      for (const l of Object.values(d.loads)) if (l.feed.by === 'wire' && l.feed.wire === id) l.feed = { by: 'own' };
    });
  }
}
