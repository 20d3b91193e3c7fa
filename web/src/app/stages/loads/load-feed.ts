import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { catalogueOf, type Feed, invertersOf, type Load, type LoadGroup, plant } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../../ui/choice';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { newId } from '../../data/new-id';

const NEW = ['switch bank', 'joint strip'] as const;
type How = Extract<Feed, { by: 'wire' }>['how'];

/** What a load's wire starts at: a fuse of its own, switches or a strip that it shares, or a circuit that is there. */
@Component({
  selector: 'mx-load-feed',
  imports: [FormsModule, NzInputModule, Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (load().supply === 'mains') {
      @if (outlets().length > 2) {
        <mx-choice label="Inverter of the load" name="Plugged into" [of]="outlets()" [words]="outletWords()" [value]="load().inverter ?? ''" (valueChange)="plugInto($event)" />
      }
    } @else {
      <mx-choice label="Wire starts at" name="Its wire starts at" [of]="choices()" [words]="words()" [value]="chosen()" (valueChange)="choose($event)" />
      @if (group(); as g) {
        <div class="two">
          <div class="field">
            <span class="name">Name of the {{ g.kind }}</span
            ><input nz-input maxlength="80" [attr.aria-label]="'Name of the ' + g.kind" [ngModel]="g.name" (ngModelChange)="setGroup({ name: $event })" />
          </div>
          <mx-choice label="Fuses of the group" name="Fuses" [of]="fuses" [value]="g.fuses" (valueChange)="setGroup({ fuses: $event })" />
        </div>
        <p class="narrow muted">
          {{ g.fuses === 'one for all' ? 'One fuse in the feed: it suits the sum, and every tail must bear it.' : 'Each tail has its own fuse behind the feed’s.' }} With it: {{ others() }}.
        </p>
      }
      @if (feed().by === 'wire') {
        <mx-choice label="How it is tapped" name="Tapped by" [of]="hows" [value]="how()" (valueChange)="setHow($event)" />
        <p class="caution">What hangs on that circuit already, its wire and its fuse are under Brief; safety circuits are never tapped.</p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
    }
  `,
})
export class LoadFeed {
  readonly id = input.required<string>();
  readonly load = input.required<Load>();
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly fuses = ['one for all', 'one each'] as const;
  protected readonly hows = ['joint', 'fuse tap', 'piercing tap'] as const;
  protected readonly feed = computed(() => this.load().feed);
  protected readonly group = computed((): LoadGroup | null => {
    const feed = this.feed();
    return feed.by === 'group' ? (this.designs.openDesign().groups[feed.group] ?? null) : null;
  });
  protected readonly how = computed((): How => {
    const feed = this.feed();
    return feed.by === 'wire' ? feed.how : 'joint';
  });
  protected readonly chosen = computed(() => {
    const feed = this.feed();
    return feed.by === 'own' ? (feed.on === undefined ? 'own' : `own:${feed.on}`) : feed.by === 'battery' ? `battery:${feed.of}` : feed.by === 'group' ? `group:${feed.group}` : `wire:${feed.wire}`;
  });
  private readonly gearName = (id: string, otherwise: string): string => this.assessments.assessment()?.gear.find((g) => g.id === id)?.name ?? otherwise;
  private readonly named = computed((): ReadonlyMap<string, string> => {
    const design = this.designs.openDesign();
    const { groups, brief } = design;
    const blocks = plant(design, catalogueOf(design)).distribution.filter((d) => d.part?.kind === 'fuse-block');
    const order = <T extends { readonly order: number }>(all: Readonly<Record<string, T>>): [string, T][] => Object.entries(all).sort(([, a], [, b]) => a.order - b.order);
    return new Map([
      ['own', blocks.length > 1 ? 'a fuse of its own, on the nearest block' : 'a fuse of its own'],
      ...(blocks.length > 1 ? blocks.map(({ ref }): [string, string] => [`own:${ref.id}`, `a way of the ${this.gearName(ref.id, 'fuse block')}`]) : []),
      ['battery:house', 'the house battery’s post, always live'],
      ['battery:vehicle', 'the starting battery’s post, always live'],
      ...order(groups).map(([id, g]): [string, string] => [`group:${id}`, `${g.name || 'unnamed'}, ${g.kind}`]),
      ...order(brief.traces)
        .filter(([, t]) => t.verdict !== 'remove')
        .map(([id, t]): [string, string] => [`wire:${id}`, `existing ${t.colour || 'unnamed'} wire to ${t.to || 'an unnamed place'}`]),
      ...NEW.map((kind): [string, string] => [`new:${kind}`, `a new ${kind}`]),
    ]);
  });
  /** The inverters that a mains load may be plugged into; empty: the smallest that bears it. */
  private readonly inverters = computed(() => invertersOf(this.designs.openDesign(), catalogueOf(this.designs.openDesign())));
  protected readonly outlets = computed(() => ['', ...new Set([...this.inverters().map((i) => i.ref.id), ...[this.load().inverter ?? []].flat()])]);
  protected readonly outletWords = computed(
    () => (id: string) => (id === '' ? 'the smallest that bears it' : this.inverters().find((i) => i.ref.id === id) ? this.gearName(id, 'inverter') : 'what is gone'),
  );
  /** What is gone stays to be seen until another is chosen. */
  protected readonly choices = computed(() => [...new Set([...this.named().keys(), this.chosen()])]);
  protected readonly words = computed(() => (c: string) => this.named().get(c) ?? 'what is gone');
  protected readonly others = computed(() => {
    const feed = this.feed();
    const with_ = Object.entries(this.designs.openDesign().loads).filter(([id, l]) => id !== this.id() && feed.by === 'group' && l.feed.by === 'group' && l.feed.group === feed.group);
    return with_.map(([, l]) => l.name || 'an unnamed load').join(', ') || 'nothing else yet';
  });

  protected choose(choice: string): void {
    const [kind, id = ''] = choice.split(':');
    this.designs.edit('what a load hangs on', (d) => {
      const load = d.loads[this.id()];
      if (!load) return;
      if (kind === 'own') load.feed = id ? { by: 'own', on: id } : { by: 'own' };
      else if (kind === 'battery') load.feed = { by: 'battery', of: id === 'vehicle' ? 'vehicle' : 'house' };
      else if (kind === 'group') load.feed = { by: 'group', group: id };
      else if (kind === 'wire') load.feed = { by: 'wire', wire: id, how: 'joint' };
      else if (kind === 'new') {
        const group = newId();
        const order = 1 + Math.max(0, ...Object.values(d.groups).map((g) => g.order));
        d.groups[group] = { order, name: `${id} ${order}`, kind: id as LoadGroup['kind'], fuses: 'one for all' };
        load.feed = { by: 'group', group };
      }
      // What nothing hangs on any more is no part of the job.
      const used = new Set(Object.values(d.loads).flatMap((l) => (l.feed.by === 'group' ? [l.feed.group] : [])));
      for (const g of Object.keys(d.groups)) if (!used.has(g)) delete d.groups[g];
    });
  }

  protected plugInto(id: string): void {
    this.designs.edit('the inverter of a load', (d) => {
      const load = d.loads[this.id()];
      if (load && id) load.inverter = id;
      else if (load) delete load.inverter;
    });
  }

  protected setGroup(change: Partial<LoadGroup>): void {
    this.designs.edit('a group of loads', (d) => {
      const { feed } = d.loads[this.id()]!;
      const group = feed.by === 'group' ? d.groups[feed.group] : undefined;
      if (group) Object.assign(group, change);
    });
  }

  protected setHow(how: How): void {
    this.designs.edit('how a wire is tapped', (d) => {
      const load = d.loads[this.id()]!;
      if (load.feed.by === 'wire') load.feed = { ...load.feed, how };
    });
  }
}
