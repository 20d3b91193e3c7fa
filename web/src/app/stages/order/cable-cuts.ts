import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { type AskedPerM, cablePlans, type CableShelf, type Cut, figure } from '@meridex/core';
import { MoneyPipe } from '../../fields/money.pipe';
import { ReadField, type Reader } from '../../ui/read-field';
import { Mark } from '../../pictures/mark';
import { keepHere, keptHere } from '../../data/kept-here';
import { SessionService } from '../../data/session.service';

const isShelf = (kept: unknown): kept is CableShelf => typeof kept === 'object' && kept !== null && Object.values(kept).every((m) => Array.isArray(m));

/** What to buy of every cable, and how it is cut: drawn to length, with what lies on the shelf used first. */
@Component({
  selector: 'mx-cable-cuts',
  imports: [Mark, MoneyPipe, ReadField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Cable: what to buy, and what it is cut from</h2>
    <p class="narrow muted sum">
      <b class="figure">{{ sums().price | money: 2 }}</b> {{ asked() ? 'where suppliers were asked at their prices' : 'at planning prices' }}, {{ figure(sums().waste, 1) }} m thrown away,
      {{ figure(sums().kept, 1) }} m back on the shelf
    </p>
    @for (p of plans(); track p.cable) {
      <div class="cable" [attr.aria-label]="p.cable">
        <div class="line">
          <b class="keep"><i class="dot" [class.red]="isRed(p.cable)" [class.sheath]="isSheathed(p.cable)"></i>{{ p.cable }}</b>
          <span class="buy">{{ buys(p.bought) }}</span>
          <mx-read class="shelf" [label]="'On the shelf, ' + p.cable" placeholder="shelf, m" [bare]="true" [shown]="shelfText(p.cable)" [reader]="readShelf" (taken)="lay(p.cable, $event)" />
          <span class="figure">{{ p.price | money: 2 }}</span>
        </div>
        @if (p.trouble; as why) {
          <p class="stop" role="alert"><mx-mark kind="stop" /> {{ why }}</p>
        }
        @for (piece of p.pieces; track $index) {
          <div class="piece" [class.red]="isRed(p.cable)" [title]="pieceInWords(piece)">
            @for (c of piece.cuts; track c.label) {
              <span class="cut" [style.flex-grow]="c.lengthM"
                ><span>{{ c.label }} {{ figure(c.lengthM, 1) }}</span></span
              >
            }
            @if (piece.restM > 0.02) {
              <span class="rest" [class.kept]="piece.kept" [style.flex-grow]="piece.restM"
                ><span>{{ figure(piece.restM, 1) }} {{ piece.kept ? 'kept' : 'waste' }}</span></span
              >
            }
          </div>
        }
        @if (p.atMostAbovePercent === null || p.atMostAbovePercent > 0) {
          <p class="narrow muted">{{ p.atMostAbovePercent === null ? 'Not proved the cheapest.' : 'At most ' + figure(p.atMostAbovePercent, 1) + ' % above the least.' }}</p>
        }
      </div>
    }
    <p class="narrow muted sum">Rolls of 5, 10 and 30 m up to 6 mm², thicker by the metre: default ways of selling. What lies on the shelf is kept on this device.</p>
  `,
  styleUrl: './cable-cuts.less',
})
export class CableCuts {
  private readonly session = inject(SessionService);
  readonly cuts = input.required<readonly Cut[]>();
  /** What suppliers ask for a metre, by the order’s line. */
  readonly prices = input<AskedPerM>({});
  protected readonly asked = computed(() => Object.keys(this.prices()).some((k) => k.startsWith('cable-')));
  protected readonly figure = figure;
  private readonly shelf = signal<CableShelf>(keptHere(this.key, isShelf, {}));
  protected readonly plans = computed(() => cablePlans(this.cuts(), this.shelf(), this.prices()));
  protected readonly sums = computed(() => this.plans().reduce((s, p) => ({ price: s.price + p.price, waste: s.waste + p.wasteM, kept: s.kept + p.keptM }), { price: 0, waste: 0, kept: 0 }));
  protected readonly isRed = (cable: string): boolean => cable.endsWith('red');
  protected readonly isSheathed = (cable: string): boolean => cable.endsWith('sheathed');

  private get key(): string {
    return `meridex.shelf.${this.session.person()?.workshop ?? ''}`;
  }

  protected readonly buys = (bought: readonly { readonly lengthM: number; readonly count: number }[]): string =>
    bought.length ? `buy ${bought.map((b) => `${b.count > 1 ? `${b.count} × ` : ''}${figure(b.lengthM, 0)} m`).join(' + ')}` : 'all from the shelf';

  protected readonly pieceInWords = (p: { readonly lengthM: number; readonly shelf: boolean; readonly cuts: readonly { readonly label: string; readonly name: string }[] }): string =>
    `${p.shelf ? 'from the shelf' : 'bought'}, ${figure(p.lengthM, 1)} m: ${p.cuts.map((c) => `${c.label} ${c.name}`).join('; ')}`;

  protected shelfText(cable: string): string {
    return (this.shelf()[cable] ?? []).map((m) => figure(m, 1)).join(', ');
  }

  protected readonly readShelf: Reader<readonly number[]> = (text) => {
    const lengths = text
      .replace(/m\b/g, '')
      .split(/[,;]\s+|\s+/)
      .filter(Boolean)
      .map((t) => Number(t.replace(',', '.')));
    return lengths.every((m) => m > 0 && m <= 500)
      ? { ok: true, value: lengths }
      : { ok: false, message: `On the shelf: came ${text.trim()}; lengths in metres from 0 to 500, such as 2.4, 1.1, are accepted` };
  };

  protected lay(cable: string, lengths: readonly number[]): void {
    this.shelf.update((s) => ({ ...s, [cable]: lengths }));
    keepHere(this.key, this.shelf());
  }
}
