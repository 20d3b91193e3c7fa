import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, effect, type ElementRef, inject, Injector, signal, untracked, viewChild } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import {
  BARS,
  buildDiagram,
  type CircuitState,
  type DiagramFilter,
  type Drawing,
  drawingOf,
  drawingSvg,
  elkGraph,
  figure,
  fromPlug,
  loadNamed,
  namedStates,
  type NoState,
  PARKED,
  plant,
  rating,
  refTo,
  type RunGroup,
  runKey,
  catalogueOf,
  type StateFigures,
  WHOLE,
  whyGear,
} from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { LineDiagram } from '../../pictures/line-diagram';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { LayoutService } from '../../data/layout.service';
import { AnalysisService } from '../../data/analysis.service';
import { fileName, saveFile } from '../../data/save-file';
import { SelectionService } from '../../data/selection.service';
import { lineStates, nameOf, STATE_PARTS, stateSum, symbolWords } from './state-words';

const GROUPS: Readonly<Record<string, readonly RunGroup[]>> = { 'charging only': ['charging'], 'house and loads': ['house', 'loads'], 'sun only': ['sun'] };
/** Scales of the drawing; below `read` its words come out under 10 px, which the full window trades for seeing all of it. */
const ZOOM = { least: 0.3, most: 2, step: 1.2, small: 0.6, read: 0.84 } as const;

/** The line diagram: drawn from the design, never by hand, with the volts and amps of any state. */
@Component({
  selector: 'mx-diagram',
  imports: [FormsModule, RouterLink, NzCheckboxModule, NzSelectModule, NamedSelect, LineDiagram, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '[class.fills]': 'fills()', '(document:keydown.escape)': 'fill(false)' },
  templateUrl: './diagram.html',
  styleUrl: './diagram.less',
})
export class DiagramSheet {
  protected readonly assessments = inject(AssessmentService);
  protected readonly designs = inject(DesignService);
  protected readonly selection = inject(SelectionService);
  private readonly layouts = inject(LayoutService);
  private readonly analysis = inject(AnalysisService);
  protected readonly figure = figure;
  protected readonly rating = rating;
  private readonly states = computed(() => {
    const a = this.assessments.openAssessment();
    return namedStates({ inline: a.inline, second: a.supply.second });
  });
  protected readonly named = computed(() => Object.keys(this.states()));

  protected readonly show = signal('everything');
  /** Null: sizes and lengths are shown, no state. */
  protected readonly state = signal<CircuitState | null>(null);
  /** As chosen; null: as large as its words can be read. */
  private readonly zoomed = signal<number | null>(null);
  /** Room for the drawing, px; it changes with the window and when the sheet fills it. */
  private readonly paper = signal({ w: 800, h: 420 });
  /** Scale at which all of it is seen. */
  private readonly whole = computed(() => Math.min(1, this.paper().w / (this.drawing()?.width ?? 1000), this.paper().h / (this.drawing()?.height ?? 500)));
  protected readonly zoom = computed(() => this.zoomed() ?? Math.max(this.fills() ? ZOOM.small : ZOOM.read, this.whole()));
  protected readonly isWhole = computed(() => this.zoom() <= this.whole() + 0.001);
  /** The sheet fills the window. */
  protected readonly fills = signal(false);
  private readonly sheet = viewChild.required<ElementRef<HTMLElement>>('sheet');
  protected readonly drawing = signal<Drawing | null>(null);
  protected readonly trouble = signal<string | null>(null);
  protected readonly result = signal<StateFigures | NoState | null>(null);
  private readonly injector = inject(Injector);
  private asked = 0;

  protected readonly shows = computed(() => ['everything', ...Object.keys(GROUPS), ...this.loads().map((l) => l.name)]);
  private readonly loads = computed(() => {
    const wired = new Set(this.assessments.openAssessment().runs.map((r) => r.spec.id));
    return Object.entries(this.designs.openDesign().loads)
      .filter(([id]) => wired.has(`load-${id}`))
      .sort(([, a], [, b]) => a.order - b.order)
      .map(([id, l]) => ({ id, name: l.name || 'unnamed load' }));
  });
  private readonly filter = computed((): DiagramFilter => {
    const show = this.show();
    if (GROUPS[show]) return { groups: GROUPS[show], loads: null };
    const load = this.loads().find((l) => l.name === show);
    return load ? { groups: null, loads: [load.id] } : WHOLE;
  });
  private readonly diagram = computed(() => {
    const a = this.assessments.openAssessment();
    return buildDiagram({ design: this.designs.openDesign(), gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond }, this.filter());
  });

  protected readonly parts = computed(() => {
    const a = this.assessments.openAssessment();
    const has: Readonly<Record<string, boolean>> = {
      isolator: a.runs.some((r) => r.spec.role === 'link'),
      sun: a.runs.some((r) => r.spec.role === 'panel lead'),
      engine: a.runs.some((r) => r.spec.from.ref.in === 'vehicles'),
      mainSwitch: a.inline.some((p) => p.id === 'switch'),
      disconnect: a.inline.some((p) => p.id === 'disconnect'),
      bank: a.supply.second !== null,
      charges: a.inline.some((p) => p.id === 'charging'),
      charging: true,
      air: true,
    };
    return STATE_PARTS.filter((p) => has[p.key]);
  });
  protected readonly hasMains = computed(() => fromPlug(plant(this.designs.openDesign(), catalogueOf(this.designs.openDesign()))).length > 0);
  protected readonly stateName = computed(() => {
    const s = this.state();
    return s ? nameOf(s, this.states()) : null;
  });
  private readonly numbers = computed(() => new Map(this.assessments.openAssessment().runs.map((r) => [r.spec.id, r.spec.number])));
  protected readonly lineStates = computed(() => {
    const r = this.result();
    return r?.ok ? lineStates(r, this.numbers()) : null;
  });
  protected readonly beside = computed((): ReadonlyMap<string, string> => {
    const r = this.result();
    return r?.ok ? symbolWords(r) : new Map();
  });
  protected readonly sum = computed(() => {
    const r = this.result();
    return r ? stateSum(r) : null;
  });
  protected readonly rows = computed(() => {
    const r = this.result();
    const by = new Map(r?.ok ? r.runs.map((x) => [x.id, x]) : []);
    return this.assessments.openAssessment().runs.map((run) => ({ run, state: by.get(run.spec.id) ?? null }));
  });
  protected readonly chosen = computed(() => this.rows().find((r) => r.run.spec.id === this.selection.run()) ?? null);

  /** A part in line that is picked: it has no run of its own to speak for it. */
  protected readonly part = computed(() => this.assessments.openAssessment().inline.find((p) => p.id === this.selection.gear()) ?? null);

  /** A piece of gear that is picked: why it is there. */
  protected readonly gear = computed(() => {
    const design = this.designs.design();
    const g = this.assessments.openAssessment().gear.find((x) => x.id === this.selection.gear());
    return design && g && !this.part() ? { name: g.name, why: whyGear(design, g) } : null;
  });

  constructor() {
    const seen = new ResizeObserver(([entry]) => this.paper.set({ w: entry!.contentRect.width, h: entry!.contentRect.height }));
    afterNextRender(() => seen.observe(this.sheet().nativeElement));
    inject(DestroyRef).onDestroy(() => seen.disconnect());
    effect(() => {
      const diagram = this.diagram();
      untracked(() => void this.draw(diagram));
    });
    effect(() => {
      const [design, state] = [this.designs.design(), this.state()];
      untracked(() => void this.solve(design, state));
    });
  }

  private async draw(diagram: ReturnType<typeof buildDiagram>): Promise<void> {
    try {
      const laid = await this.layouts.layOut(elkGraph(diagram));
      // An older layout that comes late must not replace a newer one.
      if (diagram !== this.diagram()) return;
      const first = this.drawing() === null;
      this.drawing.set(drawingOf(diagram, laid));
      if (first) afterNextRender(() => this.toSpine(), { injector: this.injector });
      this.trouble.set(null);
    } catch (error) {
      this.trouble.set(`The diagram could not be laid out: ${(error as Error).message}`);
    }
  }

  private async solve(design: ReturnType<DesignService['design']>, state: CircuitState | null): Promise<void> {
    const mine = ++this.asked;
    const answer = design && state ? await this.analysis.ask({ what: 'state', design: this.designs.openJob(), vehicle: this.designs.vehicle(), state }) : null;
    if (mine === this.asked) this.result.set(answer);
  }

  protected name(name: string | null): void {
    this.state.set(name === null ? null : (this.states()[name] ?? PARKED));
  }

  protected set(key: string, value: string | boolean): void {
    this.state.update((s) => ({ ...(s ?? PARKED), [key]: value }) as CircuitState);
  }

  protected loadsWord(): string {
    const l = this.state()?.loads;
    return typeof l === 'string' ? l : 'on';
  }

  protected zoomBy(factor: number): void {
    this.zoomed.set(Math.min(ZOOM.most, Math.max(ZOOM.least, this.zoom() * factor)));
  }

  /** All of it at once, or again as large as it can be read. */
  protected wholeOrRead(): void {
    this.zoomed.set(this.isWhole() ? null : this.whole());
  }

  protected fill(fills: boolean): void {
    this.fills.set(fills);
    this.zoomed.set(null);
  }

  /** Scrolls so that the bars, which everything hangs on, stand in the middle. */
  private toSpine(): void {
    const bars = this.drawing()?.nodes.find((n) => n.node.id === BARS.id);
    const e = this.sheet().nativeElement;
    if (bars) e.scrollTo({ left: bars.x * this.zoom() - e.clientWidth / 2, top: bars.y * this.zoom() - e.clientHeight / 2 });
  }

  /** Drags the paper under the window, as on a table; what is picked still answers a press without a move. */
  protected pan(event: PointerEvent): void {
    if (event.pointerType !== 'mouse' || event.button !== 0) return;
    const e = this.sheet().nativeElement;
    const from = { x: event.clientX, y: event.clientY, left: e.scrollLeft, top: e.scrollTop };
    const until = new AbortController();
    window.addEventListener('pointermove', (m) => e.scrollTo({ left: from.left + from.x - m.clientX, top: from.top + from.y - m.clientY }), { signal: until.signal });
    for (const end of ['pointerup', 'pointercancel', 'blur']) window.addEventListener(end, () => until.abort(), { signal: until.signal });
  }

  protected wheel(event: WheelEvent): void {
    if (!event.ctrlKey) return;
    event.preventDefault();
    this.zoomBy(event.deltaY < 0 ? ZOOM.step : 1 / ZOOM.step);
  }

  protected pickRun(run: string): void {
    this.selection.gear.set(null);
    this.selection.run.set(run);
  }

  protected pickGear(gear: string): void {
    this.selection.gear.set(gear);
    this.selection.run.set(null);
    const load = loadNamed(gear);
    if (load !== null) this.selection.run.set(runKey(refTo('loads', load)));
  }

  /** The diagram as a file that stands alone. */
  protected saveSvg(): void {
    const d = this.drawing();
    if (!d) return;
    const customer = this.designs.openDesign().brief.customer;
    saveFile(fileName(customer, 'line-diagram.svg'), [drawingSvg(d, `${customer}, line diagram`)], 'image/svg+xml');
  }
}
