import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import type { SetUp, Standing } from '@meridex/contract';
import { NzInputModule } from 'ng-zorro-antd/input';
import type { Observable } from 'rxjs';
import { inWordsOf } from '../../data/asks-server';
import { PeopleService } from '../../data/people.service';
import { SessionService } from '../../data/session.service';
import { Door } from './door';
import { NewAccount } from './new-account';

/** Signing in; where nobody has a workshop yet, making the first one. */
@Component({
  selector: 'mx-sign-in',
  imports: [FormsModule, NzInputModule, Door, NewAccount],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sign-in.html',
  styleUrl: './form.less',
})
export class SignIn {
  /** Where to go afterwards, from the address. */
  readonly to = input<string>();
  private readonly session = inject(SessionService);
  private readonly people = inject(PeopleService);
  private readonly router = inject(Router);
  protected readonly standing = signal<Standing | null>(null);
  protected readonly email = signal('');
  protected readonly password = signal('');
  protected readonly says = signal<string | null>(null);
  protected readonly busy = signal(false);

  constructor() {
    this.people.standing().subscribe({
      next: (s) => {
        this.standing.set(s);
        if (this.email() === '') this.email.set(s.demo ?? '');
      },
      error: (error: HttpErrorResponse) => this.says.set(inWordsOf(error)),
    });
  }

  protected enter(): void {
    this.ask(this.session.signIn(this.email(), this.password()));
  }

  protected make(asked: SetUp): void {
    this.ask(this.people.setUp(asked));
  }

  private ask(done: Observable<unknown>): void {
    this.busy.set(true);
    this.says.set(null);
    done.subscribe({
      next: () => void this.router.navigateByUrl(this.to() ?? '/'),
      error: (error: HttpErrorResponse) => {
        this.busy.set(false);
        this.says.set(inWordsOf(error));
      },
    });
  }
}
