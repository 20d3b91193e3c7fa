import { afterNextRender, ChangeDetectionStrategy, Component, computed, effect, type ElementRef, inject, Injector, signal, untracked, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Asked, catalogueOf, CHARGED_WHILE, figure, inWords, type Press, rigRows, sentence, shelfFor, type ShelfItem, supplyFlow } from '@meridex/core';
import { Mark } from '../../pictures/mark';
import { SupplyFlowPicture } from '../../pictures/supply-flow';
import { SelectionService } from '../../data/selection.service';
import { SupplyPanel } from './panel';
import { Selectors } from './selectors';
import { ThingFields } from './thing-fields';

/** Where the figures of a box stand that is no thing of the rig. */
const ELSEWHERE: Readonly<Record<string, { readonly path: string; readonly words: string }>> = {
  starting: { path: '../feeds', words: 'Alternator, its volts and other chargers on it' },
  inlet: { path: '../../brief/trip', words: 'Nights on mains, and a generator’s hours' },
  bus: { path: '../feeds', words: 'Bars, switch and shunt' },
  'always-live': { path: '../../loads', words: 'What is always live, and from which post' },
  watching: { path: '../meters', words: 'What measures, shows and switches' },
};

/** Where the lead from another bank stands. */
const OF_LEAD = { path: '../../brief/vehicles', words: 'The lead: its plugs, cable and floor; its hours stand with its outlet' };

/** The supply drawn: what gives, what converts, what stores, what uses, as wide as it flows on this trip; a box is pressed to change it. */
@Component({
  selector: 'mx-flow',
  imports: [RouterLink, Mark, Selectors, SupplyFlowPicture, ThingFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './flow.html',
  styleUrl: './flow.less',
})
export class FlowSheet extends SupplyPanel {
  protected readonly Infinity = Infinity;
  private readonly selection = inject(SelectionService);
  private readonly injector = inject(Injector);
  private readonly beside = viewChild.required<ElementRef<HTMLElement>>('beside');
  /** What a command has against it, in words. */
  protected readonly refused = signal<string | null>(null);
  protected readonly flow = computed(() => supplyFlow(this.designs.openDesign(), catalogueOf(this.designs.openDesign()), this.assessments.openAssessment()));
  private readonly rows = computed(() => rigRows(this.designs.openDesign(), this.assessments.openAssessment(), this.within()));
  protected readonly chosen = computed(() => {
    const { things } = this.flow();
    const id = this.selection.thing();
    const drawn = things.find((t) => t.id === id || t.id === `${id}:use`);
    return drawn?.id ?? things.find((t) => t.looks.length)?.id ?? things.find((t) => t.column === 'stores')?.id ?? null;
  });
  protected readonly title = computed(() => this.flow().things.find((t) => t.id === this.chosen())?.title ?? '');
  /** The thing of the rig that the chosen box is. */
  private readonly thing = computed(() => (this.chosen() ?? '').replace(/:use$/, ''));
  protected readonly fields = computed(() => {
    const id = this.thing();
    const bank = this.designs.openDesign().banks[id];
    return this.rows().filter((r) => (bank ? r.id in bank.batteries : r.id === id));
  });
  protected readonly isBank = computed(() => this.thing() in this.designs.openDesign().banks);
  protected readonly while = CHARGED_WHILE;
  protected readonly elsewhere = computed(() => (this.designs.openDesign().inlets[this.thing()]?.dc ? OF_LEAD : (ELSEWHERE[this.chosen() ?? ''] ?? null)));
  protected readonly findings = computed(() =>
    this.assessments
      .assessment()!
      .open.flatMap((f) => (f.at.stage === 'supply' && this.isAbout(f.at.about) ? [{ finding: f, mark: f.severity === 'stop' ? ('stop' as const) : ('look' as const), ...inWords(f) }] : [])),
  );
  /** With a bank stands what chooses between it and another. */
  private isAbout(about: string | undefined): boolean {
    return about === this.thing() || (this.isBank() && (about === 'switch' || about === 'charging'));
  }

  /** What comes and goes, Ah a day. */
  protected readonly says = computed(() => {
    const { sun, engine, mains, lead, use } = this.flow().sums;
    const by = (
      [
        ['sun brings', sun],
        ['driving', engine],
        ['mains', mains],
        ['the other battery', lead],
      ] as const
    )
      .filter(([, ah]) => ah >= 0.5)
      .map(([what, ah]) => `${what} ${figure(ah, 0)}`);
    return sentence(`${by.length ? `${by.join(', ')} Ah a day` : 'nothing comes in'}; the loads take ${figure(use, 0)}.`);
  });
  protected readonly shelf = computed(() => shelfFor(this.designs.openDesign()));
  protected readonly stands = computed(() => {
    const { low } = this.flow();
    const trip = this.assessments.openAssessment().trip;
    return low && trip ? low.soc >= low.reserve - 1e-9 && trip.criticalOffH === 0 : null;
  });

  constructor() {
    super();
    effect(() => {
      const wish = this.selection.supply();
      if (wish) untracked(() => this.takeUp(wish));
    });
  }

  /** Shows or adds what was asked for elsewhere; its fields are where the keys go on. */
  private takeUp(wish: { readonly show: string } | { readonly add: string }): void {
    this.selection.supply.set(null);
    if ('show' in wish) this.pick(wish.show);
    const item = 'add' in wish ? this.shelf().find((s) => s.words === wish.add) : undefined;
    if (item) this.add(item);
    afterNextRender(() => this.beside().nativeElement.focus(), { injector: this.injector });
  }

  protected pick(id: string): void {
    this.selection.thing.set(id);
    this.refused.set(null);
  }

  protected command(words: string, asked: readonly Asked[]): void {
    this.refused.set(this.commands(words, asked));
  }

  /** Adds a thing and shows it. */
  protected add(item: ShelfItem): void {
    const before = new Set(this.rows().map((r) => r.id));
    this.command(item.words, item.asked(this.designs.openDesign()));
    const made = rigRows(this.designs.openDesign(), this.assessments.openAssessment()).find((r) => !before.has(r.id));
    if (made) this.selection.thing.set(made.id);
  }

  protected hang(end: { readonly thing: string; readonly on: string }): void {
    this.selection.thing.set(end.thing);
    this.command(`${this.title()} hung anew`, [{ do: 'hang', with: end }]);
  }

  protected takeOut(): void {
    const id = this.thing();
    this.command(`without the ${this.title()}`, [{ do: 'remove', with: { thing: id } }]);
  }

  protected removable(): boolean {
    const d = this.designs.openDesign();
    const part = d.converters[this.thing()]?.part;
    // What is built in goes with its unit.
    if (catalogueOf(d).parts.some((p) => p.id === part && p.inside !== undefined)) return false;
    return (
      this.thing() in d.arrays || this.thing() in d.converters || this.thing() in d.links || (d.banks[this.thing()]?.selector ?? null) !== null || d.distribution[this.thing()]?.kind === 'fuse block'
    );
  }

  protected take(p: Press): void {
    this.refused.set(this.designs.apply(p.label, p.patch));
  }
}
