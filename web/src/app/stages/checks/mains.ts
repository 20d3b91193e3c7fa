import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { mayNot } from '@meridex/contract';
import { catalogueOf, type MainsQuestion, mainsSide } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { isoDay } from '../../ui/iso-day';
import { Mark } from '../../pictures/mark';
import { DesignService } from '../../data/design.service';
import { SessionService } from '../../data/session.service';
import { MainsSketchPicture } from './mains-sketch';

/** The 230 V side: what is asked of the licensed electrician, drawn on one line, and their signature, or that none of it is part of the job. */
@Component({
  selector: 'mx-mains',
  imports: [FormsModule, NzInputModule, Mark, MainsSketchPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mains.html',
  styleUrl: './mains.less',
})
export class MainsSheet {
  protected readonly designs = inject(DesignService);
  private readonly session = inject(SessionService);
  protected readonly side = computed(() => mainsSide(this.designs.openDesign(), catalogueOf(this.designs.openDesign())));
  protected readonly said = computed(() => this.designs.openDesign().mains);
  /** Questions by what they are about, in their order. */
  protected readonly groups = computed(() => {
    const { questions } = this.side();
    return [...new Set(questions.map((q) => q.of))].map((of) => ({ of, questions: questions.filter((q) => q.of === of) }));
  });
  protected readonly by = signal('');
  protected readonly licence = signal('');
  protected readonly statement = signal('');
  protected readonly reason = signal('');
  protected readonly says = signal<string | null>(null);
  protected readonly mayNotSign = computed(() => mayNot(this.session.person()?.role ?? '', 'sign mains'));

  protected readonly troubleOf = (q: MainsQuestion): string | null => this.side().troubles.find((t) => t.id === q.id)?.say ?? null;

  protected answer(q: MainsQuestion, words: string): void {
    const text = words.trim();
    this.says.set(
      this.designs.edit(`230 V, ${q.of}: ${text || 'no answer'}`, ({ mains }) => {
        if (text && text !== q.answer) mains.answers[q.id] = text;
        else delete mains.answers[q.id];
      }),
    );
  }

  protected sign(): void {
    const { unanswered, troubles } = this.side();
    const [by, licence, statement] = [this.by().trim(), this.licence().trim(), this.statement().trim()];
    if (unanswered) return this.says.set(`${unanswered === 1 ? 'One question has' : `${unanswered} questions have`} no answer yet: they come before the signature.`);
    if (troubles.length) return this.says.set('What is marked above as not to be so comes before the signature.');
    const missing = !by ? 'Name' : !licence ? 'Licence' : !statement ? 'Statement' : null;
    if (missing) return this.says.set(`${missing}: nothing typed; a signature has a name, a licence and what was done and tested.`);
    this.says.set(this.designs.edit('230 V side signed', (d) => (d.mains.signed = { by, licence, statement, on: isoDay(new Date()) })));
  }

  protected leaveOut(): void {
    const [by, reason] = [this.session.person()?.name ?? '', this.reason().trim()];
    if (!reason) return this.says.set('Reason: nothing typed; why none of the 230 V side is part of this job.');
    this.says.set(this.designs.edit('230 V side is not part of the job', (d) => (d.mains.notOurs = { by, reason, on: isoDay(new Date()) })));
    this.reason.set('');
  }

  protected takeBack(what: 'signed' | 'notOurs'): void {
    this.says.set(this.designs.edit(what === 'signed' ? '230 V signature taken back' : '230 V side is part of the job', (d) => (d.mains[what] = null)));
  }
}
