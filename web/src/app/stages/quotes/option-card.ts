import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { money, type Quote, type QuoteOption } from '@meridex/core';

/** One option of a quote: what it gives, what it is made of, what it comes to. */
@Component({
  selector: 'mx-option-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let o = option();
    <div class="top">
      <h3>{{ o.name }}</h3>
      <b class="total figure">{{ said(o.totalMinor) }}</b>
    </div>
    <ul>
      @for (g of o.gives; track g) {
        <li>{{ g }}</li>
      }
    </ul>
    <table>
      <tbody>
        @for (l of o.lines; track l.what) {
          <tr>
            <td>{{ l.what }}</td>
            <td class="figure">{{ said(l.minor) }}</td>
          </tr>
        }
        @if (taxed(); as tax) {
          <tr class="sum">
            <td>before {{ tax }}</td>
            <td class="figure">{{ said(o.netMinor) }}</td>
          </tr>
          <tr>
            <td>{{ tax }}, {{ quote().money.taxPercent }} %</td>
            <td class="figure">{{ said(o.taxMinor) }}</td>
          </tr>
        }
        <tr class="sum all">
          <td>all together</td>
          <td class="figure">{{ said(o.totalMinor) }}</td>
        </tr>
      </tbody>
    </table>
  `,
  styleUrl: './option-card.less',
})
export class OptionCard {
  readonly quote = input.required<Quote>();
  readonly option = input.required<QuoteOption>();
  protected readonly taxed = computed(() => (this.quote().money.taxPercent > 0 ? this.quote().money.tax || 'tax' : null));
  protected readonly said = (minor: number): string => money(minor / 100, this.quote().money.sign, 2);
}
