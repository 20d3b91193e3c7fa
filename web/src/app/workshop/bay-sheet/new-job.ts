import { type HttpErrorResponse } from '@angular/common/http';
import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal, viewChild } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { readDesign } from '@meridex/core';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { inWordsOf } from '../../data/asks-server';
import { type JobLine, JobsService } from '../../data/jobs.service';
import { isoDay } from '../../ui/iso-day';

type Start = 'answers' | 'template' | 'copy' | 'file';

/** A new job: from ten answers, from a template of the workshop’s own, as a copy of another one, or from a job file. */
@Component({
  selector: 'mx-new-job',
  imports: [FormsModule, NzDatePickerModule, NzInputModule, NzSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(focusout)': 'keep($event)' },
  templateUrl: './new-job.html',
})
export class NewJob {
  readonly jobs = input.required<readonly JobLine[]>();
  /** The job to begin from, where one was chosen already. */
  readonly from = input<string | null>(null);
  readonly opened = output<{ readonly id: string; readonly empty: boolean }>();
  private readonly service = inject(JobsService);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly first = viewChild.required<ElementRef<HTMLInputElement>>('first');
  protected readonly customer = signal('');
  protected readonly promised = signal<Date | null>(null);
  protected readonly start = signal<Start | null>(null);
  protected readonly startNow = computed<Start>(() => this.start() ?? (this.from() ? 'copy' : 'answers'));
  protected readonly chosen = signal<string | null>(null);
  protected readonly templates = computed(() => this.jobs().filter((j) => j.state === 'template'));
  protected readonly others = computed(() => this.jobs().filter((j) => j.state !== 'template'));
  /** The template that is chosen; of one alone that. */
  protected readonly template = signal<string | null>(null);
  protected readonly like = computed(() => this.chosen() ?? this.from());
  protected readonly file = signal<{ readonly name: string; readonly design: unknown } | null>(null);
  protected readonly refused = signal<string | null>(null);
  protected readonly starts = computed((): readonly { readonly label: string; readonly value: Start }[] => [
    { label: 'ten answers', value: 'answers' },
    ...(this.templates().length ? [{ label: 'a template', value: 'template' as const }] : []),
    { label: 'a copy', value: 'copy' },
    { label: 'a job file', value: 'file' },
  ]);

  private opening = true;

  constructor() {
    // Letters typed right after the dialog opened are the customer's name already.
    afterNextRender(() => this.focus());
  }

  /** The dialog stands open: it takes the keys from nobody more. */
  ready(): void {
    this.opening = false;
    this.focus();
  }

  /** While it opens, the dialog's frame takes the keys a frame later: what is typed meanwhile would be lost. */
  protected keep(event: FocusEvent): void {
    const [host, to] = [this.host.nativeElement, event.relatedTarget];
    if (this.opening && to instanceof HTMLElement && to !== host && to.contains(host)) (event.target as HTMLElement).focus();
  }

  /** Takes the keys, unless somebody is in another field by now. */
  private focus(): void {
    const host = this.host.nativeElement;
    if (!host.contains(document.activeElement)) this.first().nativeElement.focus();
  }

  protected async read(chosen: FileList | null): Promise<void> {
    const file = chosen?.[0];
    this.refused.set(null);
    this.file.set(null);
    if (!file) return;
    const text = await file.text();
    try {
      const raw = JSON.parse(text) as { readonly design?: unknown };
      const design = raw.design ?? raw;
      const read = readDesign(design);
      if (!read.ok) return this.refused.set(`${file.name}: ${read.message}`);
      this.file.set({ name: file.name, design });
      if (!this.customer().trim()) this.customer.set(read.design.brief.customer);
    } catch {
      this.refused.set(`${file.name}: this is no JSON; a job file as “Save as a file” or bin/meridex draft writes it is accepted`);
    }
  }

  protected create(): void {
    const customer = this.customer().trim();
    const [start, file, day] = [this.startNow(), this.file(), this.promised()];
    const from = start === 'template' ? (this.template() ?? (this.templates().length === 1 ? this.templates()[0]!.id : null)) : this.like();
    if (!customer) return this.refused.set('Customer: nothing typed; a person’s or an organisation’s name is accepted.');
    if (start === 'template' && !from) return this.refused.set('Template: nothing chosen; one of the workshop’s templates is accepted.');
    if (start === 'copy' && !from) return this.refused.set('Copy of: nothing chosen; one of the workshop’s jobs is accepted.');
    if (start === 'file' && !file) return this.refused.set('Job file: none chosen; a .json file that Meridex wrote is accepted.');
    const promisedOn = day ? isoDay(day) : null;
    const job = { customer, promisedOn, ...(start === 'copy' || start === 'template' ? { from: from! } : {}), ...(start === 'file' ? { design: file!.design } : {}) };
    this.service.create(job).subscribe({
      next: ({ id }) => this.opened.emit({ id, empty: start === 'answers' }),
      error: (error: HttpErrorResponse) => this.refused.set(inWordsOf(error)),
    });
  }
}
