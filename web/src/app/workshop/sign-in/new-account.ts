import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { joinSchema, PASSWORD_LETTERS, setUpSchema, type SetUp } from '@meridex/contract';
import { NzInputModule } from 'ng-zorro-antd/input';

/** Name, address and password of somebody new; of the first one also the workshop's name. */
@Component({
  selector: 'mx-new-account',
  imports: [FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (ngSubmit)="send()">
      <p class="muted">{{ words() }}</p>
      @if (withWorkshop()) {
        <label class="field"
          ><span class="name">Workshop</span><input nz-input name="workshop" maxlength="80" autocomplete="organization" [ngModel]="workshop()" (ngModelChange)="workshop.set($event)"
        /></label>
      }
      <label class="field"><span class="name">Your name</span><input nz-input name="name" maxlength="80" autocomplete="name" [ngModel]="name()" (ngModelChange)="name.set($event)" /></label>
      <label class="field"
        ><span class="name">Address to sign in by</span><input nz-input name="email" type="email" autocomplete="username" [ngModel]="email()" (ngModelChange)="email.set($event)"
      /></label>
      <label class="field"
        ><span class="name">Password, {{ letters.least }} letters or more</span
        ><input nz-input name="password" type="password" autocomplete="new-password" [ngModel]="password()" (ngModelChange)="password.set($event)"
      /></label>
      @if (wrong() ?? says(); as message) {
        <p class="stop" role="alert">{{ message }}</p>
      }
      <button class="btn main" type="submit" [disabled]="busy()">{{ button() }}</button>
    </form>
  `,
  styleUrl: './form.less',
})
export class NewAccount {
  readonly words = input.required<string>();
  readonly button = input.required<string>();
  readonly withWorkshop = input(false);
  /** What the server has against it. */
  readonly says = input<string | null>(null);
  readonly busy = input(false);
  readonly asked = output<SetUp>();
  protected readonly letters = PASSWORD_LETTERS;
  protected readonly workshop = signal('');
  protected readonly name = signal('');
  protected readonly email = signal('');
  protected readonly password = signal('');
  protected readonly wrong = signal<string | null>(null);
  private readonly said = computed((): SetUp => ({ workshop: this.workshop(), name: this.name(), email: this.email().trim(), password: this.password() }));

  protected send(): void {
    const read = (this.withWorkshop() ? setUpSchema : joinSchema).safeParse(this.said());
    const issue = read.error?.issues[0];
    this.wrong.set(issue ? `${FIELD[String(issue.path[0])] ?? 'Input'}: ${issue.message}.` : null);
    if (!issue) this.asked.emit(this.said());
  }
}

/** Fields by the words beside them. */
const FIELD: Readonly<Record<string, string>> = { workshop: 'Workshop', name: 'Your name', email: 'Address to sign in by', password: 'Password' };
