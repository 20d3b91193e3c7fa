import { ChangeDetectionStrategy, Component, computed, inject, type OnInit, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { changedSince, CHEMISTRIES, CHEMISTRY, doCommands, type Part, type PartKind, PART_KINDS, patchBetween, PLATES, readOwnPart } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../fields/choice';
import { NumberField } from '../fields/number-field';
import { Mark } from '../pictures/mark';
import { OwnPartsService } from './own-parts.service';
import { SupplyPanel } from './panel';

const KIND_WORDS: Readonly<Record<PartKind, string>> = {
  battery: 'battery',
  dcdc: 'DC-DC charger',
  isolator: 'isolator',
  panel: 'solar panel',
  'solar-controller': 'solar controller',
  'mains-charger': 'mains charger',
  inverter: 'inverter',
  'fuse-block': 'fuse block',
  switch: 'main switch',
  shunt: 'shunt',
  disconnect: 'low-voltage disconnect',
  hub: 'hub board',
};
/** Figures of plates in the trade's words, with their unit. */
const FIGURES: Readonly<Record<string, readonly [words: string, unit: string, most: number]>> = {
  capacityAh: ['Capacity', 'Ah', 2000],
  outputA: ['Output', 'A', 200],
  ratedA: ['Rated', 'A', 2000],
  ratedW: ['Rated', 'W', 10000],
  vocV: ['Open-circuit', 'V', 150],
  maxA: ['Largest current', 'A', 200],
  maxV: ['Largest panel volts', 'V', 250],
  ways: ['Ways', '', 60],
  barsA: ['Bars', 'A', 1000],
};
const WORDS: Readonly<Record<string, readonly string[]>> = { chemistry: CHEMISTRIES, way: ['mppt', 'pwm'] };

/** A data sheet typed once: the plate's figures, kept for the workshop and used in the job at once. */
@Component({
  selector: 'mx-own-parts',
  imports: [FormsModule, NzInputModule, Choice, NumberField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-parts-panel.html',
  styleUrls: ['./panel.less', './rig-panel.less', './own-parts-panel.less'],
})
export class OwnPartsPanel extends SupplyPanel implements OnInit {
  protected readonly parts = inject(OwnPartsService);
  protected readonly kinds = PART_KINDS;
  protected readonly kindWords = (k: PartKind): string => KIND_WORDS[k];
  protected readonly kind = signal<PartKind>('battery');
  protected readonly name = signal('');
  protected readonly plate = signal<Readonly<Record<string, number | string>>>({ chemistry: 'agm' });
  protected readonly refused = signal<string | null>(null);
  protected readonly fields = computed(() => Object.keys(PLATES[this.kind()].required));
  protected readonly figureOf = (key: string): readonly [string, string, number] => FIGURES[key] ?? [key, '', 10000];
  protected readonly wordsOf = (key: string): readonly string[] | undefined => WORDS[key];
  protected readonly wordFor = (w: string): string => (w in CHEMISTRY ? CHEMISTRY[w as keyof typeof CHEMISTRY].name : w.toUpperCase());
  /** The workshop's parts, with how each stands in this job. */
  protected readonly rows = computed(() => {
    const planned = this.designs.design()!.parts;
    return this.parts.list().map((p) => {
      const here = planned[p.part.id];
      return { ...p, here: here !== undefined, changes: here ? changedSince(here, p.part) : [] };
    });
  });

  ngOnInit(): void {
    void this.parts.load();
  }

  protected choose(kind: PartKind): void {
    this.kind.set(kind);
    this.plate.set(kind === 'battery' ? { chemistry: 'agm' } : kind === 'solar-controller' ? { way: 'mppt' } : {});
    this.refused.set(null);
  }

  protected say(key: string, value: number | string | null): void {
    const { [key]: _, ...rest } = this.plate();
    this.plate.set(value === null ? rest : { ...rest, [key]: value });
  }

  /** Into the job, and kept for the next one. */
  protected async keep(): Promise<void> {
    const own = readOwnPart({ kind: this.kind(), name: this.name(), ...this.plate() });
    if (!own.ok) return this.refused.set(own.message);
    this.use(own.part);
    if (this.refused() === null) this.name.set('');
    await this.parts.keep(own.part);
  }

  protected use(part: Part): void {
    const design = this.designs.design()!;
    const done = doCommands(design, [{ do: 'addPart', with: part }]);
    this.refused.set(done.ok ? this.designs.apply(`own part: ${part.name}`, patchBetween(design, done.design)) : done.message);
  }

  protected async file(event: Event): Promise<void> {
    const input = event.target as HTMLInputElement;
    const text = await input.files?.[0]?.text();
    if (text !== undefined) await this.parts.keepFile(text);
    input.value = '';
  }
}
