import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { figure, PLUG_WIRE_MM2, type PlugEdit, type PlugPair, type SizedRun } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { Mark } from '../../pictures/mark';
import { PlugFace } from '../../pictures/plug-face';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';

export const HOUSING_COLOURS = ['grey', 'red', 'black', 'blue', 'yellow', 'green', 'orange'] as const;

/** Every pair of plugs with its face, what it carries and reaches, what else goes into it; and the thin leads. */
@Component({
  selector: 'mx-plugs',
  imports: [FormsModule, NzCheckboxModule, NzSelectModule, NamedSelect, Mark, PlugFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plugs.html',
  styleUrl: './plugs.less',
})
export class PlugsSheet {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly wire = PLUG_WIRE_MM2;
  protected readonly colours = HOUSING_COLOURS;
  protected readonly layout = computed(() => this.assessments.openAssessment().layout);
  protected readonly pairs = computed(() => this.layout().pairs);
  protected readonly tested = computed(() => this.layout().matings.length);
  protected readonly wrong = computed(() => this.layout().matings.filter((m) => m.wrong.length));
  /** The looms on both sides of a coupling. */
  protected readonly looms = computed(() => this.assessments.openAssessment().runs.filter((r): r is SizedRun => r.spec.plugA !== null));

  protected badWith(p: PlugPair): string {
    return this.wrong()
      .filter((m) => m.source.id === p.id || m.sink.id === p.id)
      .map((m) => (m.source.id === m.sink.id ? 'feed and return swapped' : `${m.source.id === p.id ? m.sink.name : m.source.name}: ${m.wrong.join(', ')}`))
      .join(' · ');
  }

  protected set(p: PlugPair, change: Partial<PlugEdit>): void {
    this.designs.edit(`plug ${p.name}`, (d) => {
      d.plugs[p.id] = { ...d.plugs[p.id], ...change };
    });
  }
}
