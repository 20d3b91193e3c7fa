import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { mayNot } from '@meridex/contract';
import { csv, figure, KIND_WORDS, type Part, type PartKind, PART_KINDS, partsCsv, SHIPPED_CATALOGUE } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { MoneyPipe } from '../../fields/money.pipe';
import { PlateForm } from '../../fields/plate-form';
import { inShort, plateOf } from '../../fields/plate-words';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { DesignService } from '../../data/design.service';
import { OwnPartsService, type UsedIn } from '../../data/own-parts.service';
import { saveFile } from '../../data/save-file';
import { SessionService } from '../../data/session.service';
import { WorkshopService } from '../../data/workshop.service';

/** A line of the bench: a part, and whose it is. */
interface Line {
  readonly part: Part;
  readonly short: string;
  readonly own: boolean;
  readonly retired: boolean;
  /** Who kept it last. */
  readonly author: string;
}

const SORTS = { name: (l: Line) => l.part.name, kg: (l: Line) => l.part.kg, price: (l: Line) => l.part.price } as const;
/** A number is looked for as it stands, other words anywhere: 100 is not in 1000. */
function wordTest(word: string): (says: string) => boolean {
  if (!/^[\d.]+$/.test(word)) return (says) => says.includes(word);
  return (says) => says.split(/[^\d.]+/).includes(word);
}

type Sort = keyof typeof SORTS;
type Whose = 'all' | 'own' | 'shipped';

/** The workshop's catalogue: what ships and what it keeps of its own, by kind, searched, copied, changed, in and out as a file. */
@Component({
  selector: 'mx-parts',
  imports: [FormsModule, RouterLink, NzInputModule, NzModalModule, MoneyPipe, PlateForm, Strip, SyncBars],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './parts.html',
  styleUrl: './parts.less',
})
export class PartsPage {
  protected readonly own = inject(OwnPartsService);
  private readonly session = inject(SessionService);
  protected readonly figure = figure;
  protected readonly said = (words: string): boolean => words !== '';
  protected readonly kinds = PART_KINDS;
  protected readonly kindWords = KIND_WORDS;
  protected readonly kind = signal<PartKind | null>(null);
  protected readonly whose = signal<Whose>('all');
  protected readonly wanted = signal('');
  protected readonly sort = signal<{ readonly by: Sort; readonly down: boolean }>({ by: 'name', down: false });
  private readonly picked = signal<string | null>(null);
  /** A data sheet that is being typed: of this kind, from this part. */
  protected readonly typing = signal<{ readonly kind: PartKind; readonly start: { readonly part: Part; readonly same: boolean } | null } | null>(null);
  protected readonly told = signal<string | null>(null);
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'keep parts'));

  private readonly all = computed((): readonly Line[] => [
    ...this.own.list().map((o) => ({ part: o.part, short: inShort(o.part), own: true, retired: o.retired, author: o.author })),
    ...SHIPPED_CATALOGUE.parts.map((part) => ({ part, short: inShort(part), own: false, retired: false, author: '' })),
  ]);
  protected readonly ownCount = computed(() => this.own.list().filter((o) => !o.retired).length);
  protected readonly shippedCount = SHIPPED_CATALOGUE.parts.length;
  /** What the search and the choice of whose leave, before the kind. */
  private readonly found = computed(() => {
    const words = this.wanted().toLowerCase().split(/\s+/).filter(Boolean).map(wordTest);
    return this.all().filter((l) => {
      const says = `${l.part.name} ${KIND_WORDS[l.part.kind]} ${l.short} ${l.retired ? 'retired' : ''}`.toLowerCase();
      return (this.whose() === 'all' || l.own === (this.whose() === 'own')) && words.every((fits) => fits(says));
    });
  });
  protected readonly counts = computed(() => new Map(PART_KINDS.map((k) => [k, this.found().filter((l) => l.part.kind === k).length])));
  protected readonly lines = computed(() => {
    const { by, down } = this.sort();
    const list = this.found().filter((l) => this.kind() === null || l.part.kind === this.kind());
    const key = SORTS[by];
    const order = (a: Line, b: Line): number => {
      const [x, y] = [key(a), key(b)];
      return typeof x === 'number' ? x - (y as number) : x.localeCompare(String(y), undefined, { numeric: true });
    };
    return list.sort((a, b) => (down ? -1 : 1) * order(a, b));
  });
  protected readonly chosen = computed(() => this.lines().find((l) => l.part.id === this.picked()) ?? this.lines()[0] ?? null);
  /** Jobs that have the chosen part, once somebody asked: a part that is called back has to be found in every vehicle. */
  protected readonly used = signal<{ readonly id: string; readonly jobs: readonly UsedIn[] } | null>(null);
  protected readonly sheet = computed(() => (this.chosen() ? plateOf(this.chosen()!.part) : []));

  constructor() {
    // Without an answer prices stand bare.
    inject(WorkshopService)
      .read()
      .subscribe({ error: () => undefined });
    // What is typed here is the workshop's, and no job's.
    inject(DesignService).close();
    void this.own.load();
  }

  protected async whoHasIt({ part }: Line): Promise<void> {
    const jobs = await this.own.usedIn(part.id);
    if (jobs) this.used.set({ id: part.id, jobs });
  }

  /** Whom it is in, as a file: who is to be called. */
  protected saveUsed({ part }: Line, jobs: readonly UsedIn[]): void {
    saveFile(`${part.id}-fitted.csv`, ['\ufeff', csv([['customer', 'plate', 'vehicle', 'state'], ...jobs.map((j) => [j.customer, j.plate, j.vehicle, j.state])])], 'text/csv');
  }

  protected pick(id: string): void {
    this.picked.set(id);
    this.told.set(null);
  }

  protected sortBy(by: Sort): void {
    const now = this.sort();
    this.sort.set({ by, down: now.by === by && !now.down });
  }

  protected sorted(by: Sort): 'ascending' | 'descending' | 'none' {
    const now = this.sort();
    return now.by !== by ? 'none' : now.down ? 'descending' : 'ascending';
  }

  protected kept(part: Part): void {
    this.typing.set(null);
    this.kind.set(part.kind);
    this.wanted.set('');
    this.picked.set(part.id);
    this.told.set(`${part.name} is kept: every list of a ${KIND_WORDS[part.kind]} offers it.`);
  }

  protected async retire({ part, retired }: Line): Promise<void> {
    await (retired ? this.own.keep(part) : this.own.retire(part.id));
    this.told.set(retired ? `${part.name} is offered again.` : `${part.name} is retired: jobs that use it keep it, and no new one is offered it.`);
  }

  protected async file(event: Event): Promise<void> {
    const box = event.target as HTMLInputElement;
    const text = await box.files?.[0]?.text();
    box.value = '';
    if (text === undefined) return;
    const many = await this.own.keepFile(text);
    this.told.set(many ? `${many} data ${many === 1 ? 'sheet' : 'sheets'} taken from the file.` : null);
    if (many) this.whose.set('own');
  }

  protected save(as: 'csv' | 'json'): void {
    const parts = this.lines().map((l) => l.part);
    if (as === 'csv') saveFile('parts.csv', [partsCsv(parts)], 'text/csv');
    else saveFile('parts.json', [JSON.stringify(parts, null, 2)], 'application/json');
  }
}
