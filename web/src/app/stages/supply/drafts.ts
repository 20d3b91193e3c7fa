import { ChangeDetectionStrategy, Component, effect, inject, signal } from '@angular/core';
import { ActivatedRoute, Router } from '@angular/router';
import { supplyOf, takeDraft, type Settings, type SupplyDraft } from '@meridex/core';
import { Choice } from '../../ui/choice';
import { DraftCard } from './draft-card';
import { AnalysisService } from '../../data/analysis.service';
import { SupplyPanel } from './panel';

/** Three supplies proposed for these loads and this trip, and the schools they follow. */
@Component({
  selector: 'mx-drafts',
  imports: [Choice, DraftCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">Each is the cheapest of all supplies tried in this vehicle that stands its test, simulated for these loads and this trip.</p>
    @if (analysis.trouble(); as trouble) {
      <p class="stop" role="alert">{{ trouble }}</p>
    }
    <div class="grid cards" aria-live="polite" [attr.aria-busy]="busy()">
      @for (d of drafts(); track d.tier) {
        <mx-draft-card class="panel" [draft]="d" [chosen]="isChosen(d)" (take)="take(d)" />
      } @empty {
        <p class="panel empty wide">{{ busy() ? 'Working out three drafts …' : 'Put in the loads first: the drafts are made for them.' }}</p>
      }
    </div>
    <section class="panel schools" aria-label="Schools the drafts follow">
      <h2>The workshop’s schools</h2>
      <mx-choice label="Battery school" name="Battery" [of]="batteries" [value]="settings().batterySchool" (valueChange)="school({ batterySchool: $event })" />
      <mx-choice label="Sun school" name="Sun comes in" [of]="suns" [value]="settings().sunSchool" (valueChange)="school({ sunSchool: $event })" />
      <mx-choice label="Controller school" name="Controller" [of]="regulators" [value]="settings().regulatorSchool" (valueChange)="school({ regulatorSchool: $event })" />
      <mx-choice label="Variable alternator school" name="Variable alternator" [of]="variables" [value]="settings().variableSchool" (valueChange)="school({ variableSchool: $event })" />
      <mx-choice label="Board school" name="Distribution" [of]="boards" [value]="settings().boardSchool" (valueChange)="school({ boardSchool: $event })" />
    </section>
    <p class="caution">Prices and cycles are planning figures of generic parts; the maker’s data and the quote decide.</p>
  `,
  styles: `
    .lead {
      color: var(--muted);
      margin-bottom: 10px;
    }
    .cards {
      grid-template-columns: repeat(3, minmax(0, 1fr));
      align-items: stretch;
    }
    .wide {
      grid-column: 1 / -1;
    }
    .schools {
      margin: 12px 0;
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 12px;
      align-items: center;
    }
    .schools h2 {
      margin: 0;
      max-width: 90px;
    }
    @media (max-width: 820px) {
      .schools {
        grid-template-columns: 1fr 1fr;
      }
      .schools h2 {
        grid-column: 1 / -1;
        max-width: none;
      }
    }
    @media (max-width: 640px) {
      .cards {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class DraftsSheet extends SupplyPanel {
  protected readonly analysis = inject(AnalysisService);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  protected readonly drafts = signal<readonly SupplyDraft[]>([]);
  protected readonly busy = signal(false);
  protected readonly batteries = ['lithium', 'AGM'] as const;
  protected readonly suns = ['through the charger', 'own controller'] as const;
  protected readonly regulators = ['MPPT', 'PWM'] as const;
  protected readonly variables = ['DC-DC charger', 'voltage fixed by the dealer'] as const;
  protected readonly boards = ['separate parts', 'hub board'] as const;
  private asked = '';

  constructor() {
    super();
    effect(() => {
      const design = this.designs.design();
      if (!design) return;
      // The drafts depend on everything but the supply that is chosen.
      const key = JSON.stringify([design.brief, design.loads, design.settings, design.supply.houseV]);
      if (key === this.asked) return;
      this.asked = key;
      if (!Object.keys(design.loads).length) return this.drafts.set([]);
      this.busy.set(true);
      void this.analysis.ask({ what: 'drafts', design }).then((drafts) => {
        this.busy.set(false);
        if (drafts && key === this.asked) this.drafts.set(drafts);
      });
    });
  }

  protected isChosen(d: SupplyDraft): boolean {
    const [a, b] = [supplyOf(d.design), this.s()];
    return JSON.stringify([a.battery, a.isolation, a.dcdc, a.sun, a.mains, a.inverter]) === JSON.stringify([b.battery, b.isolation, b.dcdc, b.sun, b.mains, b.inverter]);
  }

  protected school(change: Partial<Settings>): void {
    this.designs.edit('the workshop’s school', (d) => void Object.assign(d.settings, change));
  }

  protected take(d: SupplyDraft): void {
    this.designs.edit(`the ${d.tier} draft`, (design) => void Object.assign(design, takeDraft(design, d.design)));
    void this.router.navigate(['../trip'], { relativeTo: this.route });
  }
}
