import { computed, inject, Injectable, signal, type WritableSignal } from '@angular/core';
import { type Design, type Patch, valueAt } from '@meridex/core';
import { Shelf } from './sync/shelf';

/** One step of undo: what was done in words, and the patches there and back. */
export interface Step {
  readonly label: string;
  readonly at: number;
  readonly forward: Patch;
  readonly back: Patch;
  /** Edits of one gesture (a drag) have one name, and are one step of undo. */
  readonly gesture: string | null;
}

interface Kept {
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
}

/** Edits of one field within this time are one step of undo, ms. */
const SAME_STEP_MS = 1200;
const MOST = 100;

const paths = (step: Step): string => step.forward.map((o) => o.path).join();

/** What of a step no longer stands as it left it, so that going back would undo another's work; null: it stands. */
export function changedSince(job: Design, done: Patch): string | null {
  const holds = (a: string, b: string): boolean => a === b || b.startsWith(`${a}/`);
  // Of a gesture only what each value came to counts: what a later move of it touched is no more what it was.
  const last = done.filter((op, n) => !done.slice(n + 1).some((later) => holds(op.path, later.path) || holds(later.path, op.path)));
  const texts = last.map((op) => ('value' in op && op.op !== 'test' && !/\/(\d+|-)$/.test(op.path) ? [op.path, JSON.stringify(op.value)] : null));
  const other = texts.find((t) => t !== null && JSON.stringify(valueAt(job, t[0]!)) !== t[1]);
  return other ? other[0]!.slice(1).replaceAll('/', ' › ') : null;
}

/** Steps back and forth of the open job, kept on the device so that they outlive the page. */
@Injectable({ providedIn: 'root' })
export class UndoSteps {
  private readonly shelf = inject(Shelf);
  private readonly undo = signal<readonly Step[]>([]);
  private readonly redo = signal<readonly Step[]>([]);
  private key: string | null = null;
  readonly undoLabel = computed(() => this.undo().at(-1)?.label ?? null);
  readonly redoLabel = computed(() => this.redo().at(-1)?.label ?? null);

  async open(key: string): Promise<void> {
    this.key = key;
    this.undo.set([]);
    this.redo.set([]);
    const kept = await this.shelf.get<Kept>('steps', key);
    if (!kept || this.key !== key || this.undo().length) return;
    this.undo.set(kept.undo);
    this.redo.set(kept.redo);
  }

  close(): void {
    this.key = null;
    this.undo.set([]);
    this.redo.set([]);
  }

  add(step: Step): void {
    this.undo.update((steps) => {
      const last = steps.at(-1);
      if (last && step.gesture && last.gesture === step.gesture) return [...steps.slice(0, -1), { ...step, forward: [...last.forward, ...step.forward], back: [...step.back, ...last.back] }];
      const sameField = last !== undefined && step.at - last.at < SAME_STEP_MS && paths(last) === paths(step);
      return sameField ? [...steps.slice(0, -1), { ...step, back: last.back }] : [...steps.slice(1 - MOST), step];
    });
    this.redo.set([]);
    this.keep();
  }

  /** Takes the newest step of one way over to the other if `run` does it. */
  take(way: 'back' | 'forward', run: (step: Step) => boolean): void {
    const [from, to]: WritableSignal<readonly Step[]>[] = way === 'back' ? [this.undo, this.redo] : [this.redo, this.undo];
    const step = from!().at(-1);
    if (!step) return;
    from!.update((s) => s.slice(0, -1));
    if (run(step)) to!.update((s) => [...s, step]);
    this.keep();
  }

  private keep(): void {
    if (this.key) this.shelf.put('steps', this.key, { undo: this.undo(), redo: this.redo() } satisfies Kept);
  }
}
