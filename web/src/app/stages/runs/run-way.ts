import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { cutLengthM, figure, HAZARD_WORDS, legsOf, type OtherRoute, otherRoutes, type Route, type SizedRun, SLACK, tooNearExhaust, vehicleOf, type Way } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { DesignService } from '../../data/design.service';
import type { RunChange } from './run-change';

/** The way of one run: what it passes, how its length came about, other ways, and what a person may force or forbid. */
@Component({
  selector: 'mx-run-way',
  imports: [FormsModule, NzSelectModule, NamedSelect, NumberField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-way.html',
  styleUrl: './run-way.less',
})
export class RunWay {
  readonly run = input.required<SizedRun>();
  readonly edited = output<RunChange>();
  private readonly designs = inject(DesignService);
  protected readonly figure = figure;
  protected readonly slack = SLACK;
  protected readonly near = tooNearExhaust;
  protected readonly vehicle = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly legs = computed(() => legsOf(this.vehicle(), this.run().spec));
  protected readonly wishes = computed(() => ({ via: this.run().spec.edit.via ?? [], avoid: this.run().spec.edit.avoid ?? [] }));
  protected readonly lengthWords = computed(() => {
    const { route, provision } = this.run().spec;
    if (!route) return 'no way: straight line for now';
    const parts = [`${figure(route.alongMm / 1000, 2)} m of way`, `${figure(route.dropsMm / 1000, 2)} m of drops`, `${100 * SLACK.share} % slack`];
    if (route.loopsMm > 0) parts.push(`${figure(route.loopsMm / 1000, 2)} m for what moves`);
    if (provision) parts.push('coils for later');
    return `${parts.join(' + ')} + loops at both ends = ${figure(cutLengthM(route), 1)} m`;
  });
  protected readonly others = computed(() => {
    const { route, stands } = this.run().spec;
    return route ? otherRoutes(this.vehicle(), stands.from, stands.to, route, this.wishes()).map((o) => ({ ...o, m: cutLengthM(o.route), why: this.why(o.route, route) })) : [];
  });

  /** Why another way was not taken: it is longer, or passes something worse. */
  private why(other: Route, best: Route): string {
    const longer = (other.alongMm + other.dropsMm - best.alongMm - best.dropsMm) / 1000;
    const worse = [...new Set(other.ways.filter((w) => !best.ways.includes(w)).flatMap((w) => w.hazards.map((h) => HAZARD_WORDS[h.kind])))];
    return [longer > 0.05 ? `${figure(longer, 1)} m longer` : longer < -0.05 ? `${figure(-longer, 1)} m shorter` : 'as long', ...(worse.length ? [`past ${worse.join(', ')}`] : [])].join(', ');
  }

  protected passes(way: Way): string {
    const hazards = way.hazards.map((h) => (h.nearMm > 0 ? `${HAZARD_WORDS[h.kind]} at ${h.nearMm} mm` : HAZARD_WORDS[h.kind]));
    const more = [
      ...(way.conduit ? ['in conduit'] : []),
      ...(way.pass ? [`through: ${way.pass.behind}`] : []),
      ...(way.coupling ? ['coupling, by plug'] : []),
      ...(way.movingMm ? [`${way.movingMm} mm loop`] : []),
    ];
    return [...more, ...hazards].join(' · ');
  }

  protected through(other: Route): string {
    return other.ways.map((w) => w.along).join(', ');
  }

  protected change(change: RunChange['change'], what: string): void {
    this.edited.emit({ change, label: `${what} of run ${this.run().spec.number}` });
  }

  protected take(other: OtherRoute): void {
    this.change({ avoid: [...this.wishes().avoid, other.without.id] }, 'way');
  }

  protected setVia(via: readonly string[]): void {
    this.change({ via: via.length ? [...via] : null }, 'way');
  }

  protected setAvoid(avoid: readonly string[]): void {
    this.change({ avoid: avoid.length ? [...avoid] : null }, 'way');
  }
}
