import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { mayNot } from '@meridex/contract';
import { blankDesign } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { type ShopRules, ShopRulesFields } from '../../fields/shop-rules';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { inWordsOf } from '../../data/asks-server';
import { logoFrom } from '../../data/logo-file';
import { SessionService } from '../../data/session.service';
import { type OwnWorkshop, WorkshopService } from '../../data/workshop.service';

const USUAL: ShopRules = blankDesign('').settings;

/** What the workshop says of itself on paper, and how it works: the rules that a new job begins with. */
@Component({
  selector: 'mx-workshop',
  imports: [FormsModule, NzInputModule, ShopRulesFields, Strip, SyncBars],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './workshop.html',
  styleUrl: './workshop.less',
})
export class WorkshopPage {
  private readonly service = inject(WorkshopService);
  private readonly session = inject(SessionService);
  /** As it stands in the fields; null until it was read. */
  protected readonly typed = signal<OwnWorkshop | null>(null);
  protected readonly rules = computed(() => this.typed()?.rules ?? USUAL);
  protected readonly changed = computed(() => JSON.stringify(this.typed()) !== JSON.stringify(this.service.own()));
  protected readonly says = signal<string | null>(null);
  protected readonly told = signal<string | null>(null);
  /** Why one may not change it; null: one may. */
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'workshop'));

  constructor() {
    this.service.read().subscribe({ next: (w) => this.typed.set(w), error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)) });
  }

  protected set(change: Partial<OwnWorkshop>): void {
    this.told.set(null);
    this.typed.update((w) => w && { ...w, ...change });
  }

  protected setRules(change: Partial<ShopRules>): void {
    this.set({ rules: { ...this.rules(), ...change } });
  }

  /** Takes a chosen picture as the logo; what it is not is said. */
  protected async logo(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const [file] = field.files ?? [];
    field.value = '';
    if (!file) return;
    const logo = await logoFrom(file);
    this.says.set('refused' in logo ? logo.refused : null);
    if ('png' in logo) this.set({ logo: logo.png });
  }

  protected keep(): void {
    const asked = this.typed();
    if (!asked) return;
    this.says.set(null);
    this.service.keep(asked).subscribe({
      next: () => {
        this.told.set('Kept. New jobs begin so; those that are open stay as they are.');
        this.session.renamed(asked.name.trim());
      },
      error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)),
    });
  }
}
