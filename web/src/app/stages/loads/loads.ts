import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  blankLoad,
  type Design,
  drawText,
  figure,
  type HourSpan,
  type Load,
  loadFromLibrary,
  loadSpans,
  purposeOf,
  readDraw,
  readPastedLoads,
  readUse,
  readWhen,
  useText,
  whenText,
} from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { type Reader, ReadField } from '../../ui/read-field';
import { DayStrip } from '../../pictures/day-strip';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { newId } from '../../data/new-id';
import { SelectionService } from '../../data/selection.service';
import { Boil } from './boil';
import { LibraryDrawer, type Picked } from './library-drawer';
import { LoadDetail } from './load-detail';

/** What a load's wire starts at, in a few words; empty: a fuse of its own. */
function hangsOn(feed: Load['feed'], groups: Design['groups'], traces: Design['brief']['traces']): string {
  if (feed.by === 'battery') return `always live, off the ${feed.of === 'house' ? 'house' : 'starting'} battery`;
  if (feed.by === 'group') return `on ${groups[feed.group]?.name || 'a group'}`;
  return feed.by === 'wire' ? `on the ${traces[feed.wire]?.colour || 'old'} wire` : '';
}

/** Everything that must run, edited in place or pasted from a spreadsheet. */
@Component({
  selector: 'mx-loads',
  imports: [FormsModule, NzInputModule, NzCheckboxModule, NzModalModule, ReadField, DayStrip, LoadDetail, LibraryDrawer, Boil],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './loads.html',
  styleUrl: './loads.less',
})
export class LoadsStage {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly whenText = whenText;
  protected readonly drawText = drawText;
  protected readonly useText = useText;
  protected readonly readWhen = readWhen;
  protected readonly readDraw: Reader<Load['draw']> = (text) => {
    const read = readDraw(text);
    return read.ok ? { ok: true, value: read.draw } : read;
  };
  protected readonly readUse: Reader<Load['use']> = (text) => {
    const read = readUse(text);
    return read.ok ? { ok: true, value: read.use } : read;
  };
  protected readonly pasting = signal(false);
  protected readonly pasted = signal('');
  protected readonly refused = signal<readonly string[]>([]);
  protected readonly rows = computed(() => {
    const day = new Map(this.assessments.openAssessment().day.loads.map((l) => [l.id, l]));
    return Object.entries(this.designs.openDesign().loads)
      .sort(([, a], [, b]) => a.order - b.order)
      .map(([id, load]) => ({ id, load, day: day.get(id) }));
  });
  protected readonly shelfOpen = signal(false);
  protected readonly chosen = computed(() => this.rows().find((r) => r.id === this.selection.load()) ?? this.rows()[0] ?? null);
  protected readonly others = computed(() =>
    this.rows()
      .filter((r) => r.id !== this.chosen()?.id)
      .map((r) => ({ id: r.id, name: r.load.name || 'unnamed load' })),
  );
  /** Hours of the chosen load as they are drawn in the strip. */
  protected readonly spans = computed(() => {
    const c = this.chosen();
    return c ? loadSpans(c.load, this.designs.openDesign().brief.trip.drivingH) : null;
  });
  /** Why the trip draws fewer Ah than stand here: the same watts at the battery's own, higher volts. */
  protected readonly onTrip = computed(() => {
    const { trip } = this.assessments.openAssessment();
    const mean = trip ? trip.loadAh.reduce((s, ah) => s + ah, 0) / Math.max(1, trip.loadAh.length) : null;
    return mean === null ? null : { ah: mean, nominalV: this.designs.openDesign().supply.houseV };
  });
  protected readonly sunW = computed(() => this.assessments.openAssessment().supply.array?.clearDayW ?? []);

  protected change(id: string, label: string, change: (l: Load) => void): void {
    this.designs.edit(label, (d) => {
      const load = d.loads[id];
      if (load) change(load);
    });
  }

  protected rename(id: string, name: string): void {
    this.change(id, 'name of a load', (l) => {
      if (l.purpose === 'other' || l.purpose === purposeOf(l.name)) l.purpose = purposeOf(name);
      l.name = name;
    });
  }

  protected setDraw(id: string, draw: Load['draw']): void {
    this.change(id, `draw to ${drawText(draw)}`, (l) => (l.draw = draw));
  }

  protected setUse(id: string, use: Load['use']): void {
    // A fridge's share stays one that grows with the heat.
    this.change(id, 'how long a load runs', (l) => (l.use = l.use.by === 'fridge' && use.by === 'duty' ? { ...l.use, duty25: use.duty } : use));
  }

  protected setWhen(id: string, when: Load['when']): void {
    this.change(id, 'when a load runs', (l) => (l.when = when));
  }

  protected drawHours(spans: readonly HourSpan[]): void {
    const c = this.chosen();
    if (c) this.setWhen(c.id, { at: 'hours', spans: spans.map(([a, b]): [number, number] => [a, b]) });
  }

  protected addPicked(picked: Picked): void {
    const load = loadFromLibrary(picked.id, this.nextOrder(), picked.size ?? undefined);
    if (!load) return;
    const id = newId();
    this.designs.edit(`${load.name} from the library`, (d) => (d.loads[id] = load));
    this.selection.load.set(id);
  }

  protected add(): void {
    const order = this.nextOrder();
    const id = newId();
    this.designs.edit('new load', (d) => (d.loads[id] = blankLoad(order)));
    this.selection.load.set(id);
    setTimeout(() => document.getElementById(`load-${id}`)?.focus());
  }

  /** What is special about a load, in a few words; empty: nothing is. */
  protected signs({ critical, supply, feed }: Load): string {
    const { groups, brief } = this.designs.openDesign();
    const on = supply === 'dc' ? hangsOn(feed, groups, brief.traces) : '';
    return [critical ? 'never off' : '', supply === 'mains' ? '230 V' : '', on].filter(Boolean).join(', ');
  }

  protected remove(id: string, name: string): void {
    this.designs.edit(`${name || 'load'} taken off`, (d) => delete d.loads[id]);
  }

  protected paste(): void {
    const read = readPastedLoads(this.pasted(), this.nextOrder());
    if (read.loads.length) {
      this.designs.edit(`${read.loads.length} loads pasted`, (d) => {
        for (const load of read.loads) d.loads[newId()] = load;
      });
    }
    this.refused.set(read.refused);
    if (read.refused.length) {
      // What was not taken stays in the box, to be mended there.
      const names = read.loads.map((l) => l.name);
      const left = this.pasted()
        .split(/\r?\n/)
        .filter((line) => line.trim() && !names.some((n) => line.trim().startsWith(n)));
      this.pasted.set(left.join('\n'));
      return;
    }
    this.pasted.set('');
    this.pasting.set(false);
  }

  private nextOrder(): number {
    return Math.max(0, ...Object.values(this.designs.openDesign().loads).map((l) => l.order)) + 1;
  }

  protected key(event: KeyboardEvent): void {
    if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return;
    if (event.ctrlKey || event.metaKey || event.altKey || this.pasting() || this.shelfOpen()) return;
    const ids = this.rows().map((r) => r.id);
    const here = ids.indexOf(this.selection.load() ?? '');
    if (event.key === 'n') this.add();
    else if (event.key === 'l') this.shelfOpen.set(true);
    else if (event.key === 'j') this.selection.load.set(ids[Math.min(ids.length - 1, here + 1)] ?? null);
    else if (event.key === 'k') this.selection.load.set(ids[Math.max(0, here - 1)] ?? null);
    else if (event.key === 'Enter' && here >= 0 && event.target === document.body) document.getElementById(`load-${ids[here]}`)?.focus();
    else return;
    event.preventDefault();
  }
}
