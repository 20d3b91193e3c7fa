import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import type { SetUp } from '@meridex/contract';
import { inWordsOf } from '../../data/asks-server';
import { type Invitation, PeopleService } from '../../data/people.service';
import { Door } from './door';
import { NewAccount } from './new-account';

/** Somebody who was sent a link joins the workshop. */
@Component({
  selector: 'mx-join',
  imports: [RouterLink, Door, NewAccount],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mx-door>
      @if (invitation(); as i) {
        <mx-new-account [words]="i.by + ' invites you to ' + i.workshop + ' as ' + i.role + '.'" button="Join" [says]="says()" [busy]="busy()" (asked)="join($event)" />
      } @else if (says()) {
        <p class="stop" role="alert">{{ says() }}</p>
        <a routerLink="/sign-in">Sign in</a>
      } @else {
        <p class="muted">Reading the invitation …</p>
      }
    </mx-door>
  `,
})
export class JoinPage {
  readonly token = input.required<string>();
  private readonly people = inject(PeopleService);
  private readonly router = inject(Router);
  protected readonly invitation = signal<Invitation | null>(null);
  protected readonly says = signal<string | null>(null);
  protected readonly busy = signal(false);

  constructor() {
    effect(() => {
      const token = this.token();
      untracked(() => this.people.invitation(token).subscribe({ next: (i) => this.invitation.set(i), error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)) }));
    });
  }

  protected join({ name, email, password }: SetUp): void {
    this.busy.set(true);
    this.says.set(null);
    this.people.join(this.token(), { name, email, password }).subscribe({
      next: () => void this.router.navigateByUrl('/'),
      error: (e: HttpErrorResponse) => {
        this.busy.set(false);
        this.says.set(inWordsOf(e));
      },
    });
  }
}
