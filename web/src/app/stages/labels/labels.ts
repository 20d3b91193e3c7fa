import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { catalogueOf, type Label, LABEL_SHEET_IDS, LABEL_SHEETS, labelLink, labelPages, labelsCsv, labelsOf, type LabelSheetId } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { fileName, saveFile } from '../../data/save-file';

const KINDS: readonly (readonly [kind: Label['kind'], words: string])[] = [
  ['cable', 'on cables, at both ends of each core'],
  ['thin lead', 'on thin leads, at both ends'],
  ['fuse', 'at fuses and breakers'],
  ['switch', 'at what is switched and measured'],
  ['caution', 'cautions'],
];

/** What is stuck on cables, fuses and switches: as it will lie on the sheet, and as a file for a label printer. */
@Component({
  selector: 'mx-labels',
  imports: [Choice, FormsModule, NumberField, NzCheckboxModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './labels.html',
  styleUrl: './labels.less',
})
export class LabelsSheet {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);

  protected readonly sheetIds = LABEL_SHEET_IDS;
  protected readonly sheetWords = (id: LabelSheetId): string => LABEL_SHEETS[id].name;
  protected readonly sheetId = signal<LabelSheetId>('large');
  protected readonly sheet = computed(() => LABEL_SHEETS[this.sheetId()]);
  protected readonly onOne = computed(() => this.sheet().across * this.sheet().down);
  /** The first label that is left on a sheet that was begun. */
  protected readonly first = linkedSignal({ source: this.sheetId, computation: () => 1 });
  protected readonly labels = computed(() => {
    const design = this.designs.openDesign();
    return labelsOf(design, catalogueOf(design), this.assessments.openAssessment());
  });
  protected readonly counts = computed(() => KINDS.map(([kind, words]) => ({ kind, words, count: this.labels().filter((l) => l.kind === kind).length })));
  /** Whether a code on each label opens its circuit on a phone. */
  protected readonly codes = signal(false);
  protected readonly origin = location.origin;
  /** An address that no other device knows. */
  protected readonly onlyHere = ['localhost', '127.0.0.1', '[::1]'].includes(location.hostname);
  private readonly link = computed(() => (this.codes() ? labelLink(this.origin, this.designs.jobId()!, this.designs.vehicle()) : null));
  protected readonly pages = computed(() => labelPages(this.labels(), this.sheet(), this.first(), this.link()));
  protected readonly pdf = computed(() => {
    const asked = new URLSearchParams({ vehicle: this.designs.vehicle(), sheet: this.sheetId(), first: String(this.first()), ...(this.codes() ? { codes: 'yes' } : {}) });
    return `/api/jobs/${this.designs.jobId()}/labels.pdf?${asked.toString()}`;
  });
  protected readonly saved = signal<string | null>(null);

  protected save(): void {
    const name = fileName(this.designs.openDesign().brief.customer, 'labels.csv');
    // The mark at the start tells spreadsheets that the text is UTF-8.
    saveFile(name, ['\ufeff', labelsCsv(this.labels(), this.link())], 'text/csv');
    this.saved.set(name);
  }
}
