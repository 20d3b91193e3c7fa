import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import type { IsolationRow, Liveness } from '@meridex/core';
import { Mark, type MarkKind } from '../../pictures/mark';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';
import type { ProtectionAnswer } from '../../data/workers/answers';

const MARK: Readonly<Record<Liveness, MarkKind>> = { live: 'look', 'live to the body': 'stop', dead: 'holds' };

/** What is still live with each switch off: the map for whoever puts a hand in. */
@Component({
  selector: 'mx-live',
  imports: [Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './live.html',
  styles: `
    td {
      vertical-align: top;
    }
    .by {
      display: block;
      font-size: 12px;
    }
    tr.dead-all td:first-child {
      font-weight: 600;
    }
    .answer {
      margin-bottom: 10px;
    }
    .caution {
      margin-top: 12px;
    }
  `,
})
export class LiveSheet {
  private readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  protected readonly mark = MARK;
  protected readonly known = signal<ProtectionAnswer | null>(null);
  protected readonly asked = signal(false);
  protected readonly dead = computed(() => this.known()?.dead ?? null);
  /** Rows that fare alike are one. */
  protected readonly rows = computed(() => {
    const by = new Map<string, { names: string[]; cells: IsolationRow['cells'] }>();
    for (const r of this.dead()?.rows ?? []) {
      const key = JSON.stringify(r.cells);
      const there = by.get(key);
      if (there) there.names.push(r.name);
      else by.set(key, { names: [r.name], cells: r.cells });
    }
    return [...by.values()];
  });
  /** What no switch of this circuit makes dead. */
  protected readonly always = computed(() => {
    const d = this.dead();
    return d ? d.rows.filter((r) => r.cells.at(-1)!.state !== 'dead').map((r) => r.name) : [];
  });

  constructor() {
    effect(() => {
      const design = this.designs.design();
      untracked(() => void this.ask(design));
    });
  }

  private async ask(design: ReturnType<DesignService['design']>): Promise<void> {
    const answer = design ? await this.analysis.ask({ what: 'protection', design }) : null;
    if (design !== this.designs.design()) return;
    this.known.set(answer);
    this.asked.set(true);
  }
}
