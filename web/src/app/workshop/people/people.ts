import { DatePipe } from '@angular/common';
import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type Colleague, mayInWords, mayNot, PASSWORD_LETTERS, type Role, ROLES, type SignedIn } from '@meridex/contract';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import type { Observable } from 'rxjs';
import { NamedSelect } from '../../ui/named-select';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { inWordsOf } from '../../data/asks-server';
import { PeopleService } from '../../data/people.service';
import { SessionService } from '../../data/session.service';

/** Who works here and what each may do; invitations, and one's own password. */
@Component({
  selector: 'mx-people',
  imports: [DatePipe, FormsModule, NzInputModule, NzSelectModule, NamedSelect, Strip, SyncBars],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './people.html',
  styleUrl: './people.less',
})
export class PeoplePage {
  private readonly people = inject(PeopleService);
  private readonly session = inject(SessionService);
  protected readonly roles = ROLES;
  protected readonly letters = PASSWORD_LETTERS;
  protected readonly list = signal<readonly Colleague[]>([]);
  /** Where one is signed in oneself. */
  protected readonly sessions = signal<readonly SignedIn[]>([]);
  /** How many of them are shown before one asks for all. */
  protected readonly fewSessions = 6;
  protected readonly allSessions = signal(false);
  protected readonly says = signal<string | null>(null);
  /** What was done, in words. */
  protected readonly told = signal<string | null>(null);
  protected readonly role = signal<Role>('electrician');
  protected readonly link = signal<string | null>(null);
  protected readonly resetting = signal<string | null>(null);
  protected readonly fresh = signal('');
  protected readonly old = signal('');
  protected readonly own = signal('');
  /** Why one may not change people; null: one may. */
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'people'));
  protected readonly may = mayInWords;

  constructor() {
    this.read();
  }

  private read(): void {
    this.people.sessions().subscribe({
      next: (all) => this.sessions.set([...all].sort((a, b) => Number(b.here) - Number(a.here) || b.since.localeCompare(a.since))),
      error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)),
    });
    this.people.all().subscribe({ next: (list) => this.list.set(list), error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)) });
  }

  private ask(done: Observable<unknown>, told: string): void {
    this.says.set(null);
    this.told.set(null);
    done.subscribe({
      next: () => {
        this.told.set(told);
        this.read();
      },
      error: (e: HttpErrorResponse) => {
        this.says.set(inWordsOf(e));
        this.read();
      },
    });
  }

  protected invite(): void {
    this.says.set(null);
    this.people.invite(this.role()).subscribe({
      next: ({ token }) => this.link.set(`${location.origin}/join/${token}`),
      error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)),
    });
  }

  protected setRole(p: Colleague, role: Role): void {
    this.ask(this.people.change(p.id, { role }), `${p.name} is ${role} now.`);
  }

  protected end(p: Colleague): void {
    this.ask(this.people.change(p.id, { ended: !p.ended }), p.ended ? `${p.name} may sign in again.` : `${p.name} is signed out everywhere and may not sign in.`);
  }

  protected endSession(s: SignedIn): void {
    this.ask(this.people.endSession(s.id), 'Signed out there.');
  }

  protected signOutEverywhere(p: Colleague): void {
    this.ask(this.people.endSessions(p.id), p.you ? 'Signed out in every other browser.' : `${p.name} is signed out everywhere.`);
  }

  protected reset(p: Colleague): void {
    if (this.fresh().length < PASSWORD_LETTERS.least) return this.says.set(`New password: ${this.fresh().length} letters came; ${PASSWORD_LETTERS.least} or more are accepted.`);
    this.ask(this.people.resetPassword(p.id, this.fresh()), `${p.name} signs in by the new password from now on: tell it by word of mouth.`);
    this.resetting.set(null);
    this.fresh.set('');
  }

  protected changeOwn(): void {
    if (this.own().length < PASSWORD_LETTERS.least) return this.says.set(`New password: ${this.own().length} letters came; ${PASSWORD_LETTERS.least} or more are accepted.`);
    this.ask(this.people.changePassword(this.old(), this.own()), 'The password is changed; every other browser is signed out.');
    this.old.set('');
    this.own.set('');
  }
}
