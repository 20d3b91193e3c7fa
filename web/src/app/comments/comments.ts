import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { mayNot } from '@meridex/contract';
import { NzInputModule } from 'ng-zorro-antd/input';
import { CommentService } from '../data/comment.service';
import { SessionService } from '../data/session.service';

/** What was said of one thing, and what is to be said of it. */
@Component({
  selector: 'mx-comments',
  imports: [DatePipe, FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './comments.html',
  styleUrl: './comments.less',
})
export class Comments {
  /** What it is about, by its id; empty: the job as a whole. */
  readonly about = input.required<string>();
  /** The same in words. */
  readonly of = input.required<string>();
  protected readonly comments = inject(CommentService);
  private readonly session = inject(SessionService);
  protected readonly list = computed(() => this.comments.byAbout().get(this.about()) ?? []);
  protected readonly text = computed(() => this.comments.begun().get(this.about()) ?? '');
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'comment'));

  protected type(text: string): void {
    this.comments.begin(this.about(), text);
  }

  protected say(): void {
    const text = this.text().trim();
    if (!text) return;
    this.comments.say(this.about(), text);
    this.type('');
  }
}
