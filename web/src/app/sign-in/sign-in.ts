import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { NzInputModule } from 'ng-zorro-antd/input';
import { SessionService } from '../services/session.service';

@Component({
  selector: 'mx-sign-in',
  imports: [FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sign-in.html',
  styleUrl: './sign-in.less',
})
export class SignIn {
  /** Where to go afterwards, from the address. */
  readonly to = input<string>();
  private readonly session = inject(SessionService);
  private readonly router = inject(Router);
  protected readonly email = signal('owner@tallowgum.example');
  protected readonly password = signal('');
  protected readonly says = signal<string | null>(null);
  protected readonly busy = signal(false);

  protected enter(): void {
    this.busy.set(true);
    this.says.set(null);
    this.session.signIn(this.email(), this.password()).subscribe({
      next: () => void this.router.navigateByUrl(this.to() ?? '/'),
      error: (error: HttpErrorResponse) => {
        this.busy.set(false);
        this.says.set(error.status === 0 ? 'The server does not answer.' : ((error.error as { message?: string } | null)?.message ?? 'Signing in failed.'));
      },
    });
  }
}
