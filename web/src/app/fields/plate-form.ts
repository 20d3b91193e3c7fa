import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { catalogueOf, CHEMISTRIES, CHEMISTRY, doCommand, figure, type Part, type PartKind, PLATES, readOwnPart, SELDOM, SHIPPED_CATALOGUE } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { Mark } from '../pictures/mark';
import { DesignService } from '../data/design.service';
import { OwnPartsService } from '../data/own-parts.service';
import { Choice } from '../ui/choice';
import { NamedSelect } from '../ui/named-select';
import { NumberField } from '../ui/number-field';
import { type Group, PlateGroup } from './plate-group';
import { figureOf, WORDS } from './plate-words';
import { ReadField, type Reader } from '../ui/read-field';

type Said = Readonly<Record<string, unknown>>;
const START: Partial<Record<PartKind, Said>> = { battery: { chemistry: 'agm' }, 'solar-controller': { way: 'mppt' } };

/** What of a sheet is chosen from a few words. */
const CHOSEN: Readonly<Record<string, readonly string[]>> = { trigger: ['wire', 'volts'], waveform: ['sine', 'modified'], holds: ['blade', 'cartridge'] };

/** A data sheet typed once: the plate's figures first, the rest defaulted; kept for the workshop, and used in the open job at once. */
@Component({
  selector: 'mx-plate-form',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, NzSelectModule, NamedSelect, Choice, NumberField, PlateGroup, ReadField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plate-form.html',
  styleUrl: './plate-form.less',
})
export class PlateForm {
  readonly kind = input.required<PartKind>();
  /** A part to begin from: its figures, under a name of its own or, of the workshop's own, under the same. */
  readonly start = input<{ readonly part: Part; readonly same: boolean } | null>(null);
  readonly made = output<Part>();
  private readonly designs = inject(DesignService);
  private readonly parts = inject(OwnPartsService);
  protected readonly name = signal('');
  protected readonly plate = signal<Said>({});
  protected readonly refused = signal<string | null>(null);
  protected readonly inJob = computed(() => this.designs.design() !== null);
  protected readonly fields = computed(() => Object.keys(PLATES[this.kind()].required));
  protected readonly figureOf = figureOf;
  protected readonly wordsOf = (key: string): readonly string[] | undefined => WORDS[key];
  protected readonly wordFor = (w: string): string => (w in CHEMISTRY ? CHEMISTRY[w as keyof typeof CHEMISTRY].name : w.toUpperCase());
  protected readonly chemistries = CHEMISTRIES;
  protected readonly plain = (w: string): string => w;
  /** What follows from the plate's figures, with what each would be. */
  private readonly rest = computed((): readonly (readonly [key: string, usual: unknown])[] => {
    const { required, rest } = PLATES[this.kind()] as { required: object; rest: (plate: unknown) => Record<string, unknown> };
    const said = Object.keys(required).every((k) => this.plate()[k] !== undefined);
    return said ? Object.entries(rest(this.plate())) : [];
  });
  protected readonly figures = computed(() =>
    this.rest().flatMap(([key, usual]) =>
      typeof usual === 'number' || key === 'maxFuseA' ? [{ key, usual: typeof usual === 'number' ? figure(usual, Number.isInteger(usual) ? 0 : 2) : 'not stated' }] : [],
    ),
  );
  protected readonly choices = computed(() => this.rest().flatMap(([key, usual]) => (CHOSEN[key] ? [{ key, of: CHOSEN[key], now: String(this.plate()[key] ?? usual) }] : [])));
  protected readonly ticks = computed(() => this.rest().flatMap(([key, usual]) => (typeof usual === 'boolean' ? [{ key, now: (this.plate()[key] ?? usual) as boolean }] : [])));
  protected readonly profiles = computed(() => this.rest().flatMap(([key, usual]) => (key === 'profiles' ? [(this.plate()[key] ?? usual) as string[]] : []))[0] ?? null);

  /** What is several figures together, and what it may have beside: ticked where it has it. */
  protected readonly groups = computed((): readonly Group[] => {
    const { has } = PLATES[this.kind()] as { has?: (plate: unknown) => Record<string, Said> };
    const rest = this.rest();
    if (!rest.length) return [];
    const may = has?.(this.plate()) ?? {};
    const isGroup = (v: unknown): v is Said => typeof v === 'object' && v !== null && !Array.isArray(v);
    const always = rest.flatMap(([key, usual]) => (isGroup(usual) ? [{ key, has: true, always: true, value: (this.plate()[key] ?? usual) as Said }] : []));
    return [...always, ...Object.entries(may).map(([key, usual]): Group => ({ key, has: isGroup(this.plate()[key]), always: false, value: (this.plate()[key] ?? usual) as Said }))];
  });
  /** Figures that most have not. */
  protected readonly seldom = computed(() => (this.rest().length ? SELDOM[this.kind()].filter((key) => key === 'outletA') : []));
  /** Batteries that a box may be built into, where its kind may be. */
  protected readonly units = computed(() => {
    const design = this.designs.design();
    const all = design ? catalogueOf(design).parts : SHIPPED_CATALOGUE.parts;
    return this.rest().length && SELDOM[this.kind()].includes('inside') ? all.filter((p) => p.kind === 'battery').map((p) => p.id) : [];
  });
  protected readonly unitIds = computed(() => ['', ...this.units()]);
  protected readonly unitWords = (id: string): string =>
    (id === '' ? 'nothing: a box of its own' : (this.designs.design() ? catalogueOf(this.designs.openDesign()) : SHIPPED_CATALOGUE).parts.find((p) => p.id === id)?.name) ?? id;
  protected readonly isIn = computed(() => String(this.plate()['inside'] ?? ''));

  protected have(group: Group, has: boolean): void {
    this.say(group.key, has ? group.value : null);
  }

  /** Outside, mm: what places and boxes reckon with. */
  protected readonly outside = computed(() => {
    const usual = this.rest().find(([key]) => key === 'mm')?.[1] as readonly number[] | undefined;
    return usual && { now: ((this.plate()['mm'] as readonly number[] | undefined) ?? []).join(' × '), usual: usual.join(' × ') };
  });
  protected readonly readSize: Reader<readonly number[]> = (text) => {
    const mm = text
      .replace(/mm/g, '')
      .split(/[x×*,\s]+/)
      .filter(Boolean)
      .map(Number);
    return mm.length === 3 && mm.every((n) => n > 0 && n <= 5000)
      ? { ok: true, value: mm }
      : { ok: false, message: `Outside: came ${text}; three figures in mm, across × up × out, such as 330 × 215 × 172, are accepted` };
  };

  constructor() {
    effect(() => {
      const [kind, start] = [this.kind(), this.start()];
      untracked(() => {
        this.refused.set(null);
        if (start) this.beginFrom(start.part, start.same);
        else this.plate.set(START[kind] ?? {});
      });
    });
  }

  /** What its plate said; what was a default for its size is one again. */
  private beginFrom(part: Part, same: boolean): void {
    const beside = new Set(['id', 'kind', 'name', 'special', 'assumed', ...(part.assumed ?? [])]);
    this.name.set(same ? part.name : `${part.name}, own`);
    this.plate.set(Object.fromEntries(Object.entries(part).filter(([key]) => !beside.has(key))));
  }

  protected shown(key: string): number | null {
    const value = this.plate()[key];
    return typeof value === 'number' ? value : null;
  }

  protected say(key: string, value: unknown): void {
    const { [key]: _, ...rest } = this.plate();
    this.plate.set(value === null ? rest : { ...rest, [key]: value });
  }

  /** Into the open job, and kept for the next one. */
  protected async keep(): Promise<void> {
    const start = this.start();
    const own = readOwnPart({ ...this.plate(), kind: this.kind(), name: this.name(), ...(start?.same ? { id: start.part.id } : {}) });
    if (!own.ok) return this.refused.set(own.message);
    const design = this.designs.design();
    const done = design && doCommand(design, { do: 'addPart', with: own.part });
    this.refused.set(!done ? null : done.ok ? this.designs.apply(`own part: ${own.part.name}`, done.patch) : done.message);
    if (this.refused() !== null) return;
    this.name.set('');
    this.made.emit(own.part);
    await this.parts.keep(own.part);
  }
}
