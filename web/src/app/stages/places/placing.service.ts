import { inject, Injectable } from '@angular/core';
import { BLANK_EXISTING, existingKey, type Face, facesOf, type Gear, type Placement, type RunSpec } from '@meridex/core';
import type { GearMove } from '../../pictures/vehicle-picture';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { newId } from '../../data/new-id';
import { nextOrder } from '../../data/next-order';

type On = NonNullable<Placement['on']>;

/** Moves of one thing within this time are one step of undo, ms. */
const GESTURE_MS = 1500;

/** Edits of places: every move of a drag is assessed, all of one drag are one step of undo. */
@Injectable({ providedIn: 'root' })
export class PlacingService {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  private gesture = { id: '', count: 0, at: 0 };

  private gear(id: string): Gear | undefined {
    return this.assessments.assessment()?.gear.find((g) => g.id === id);
  }

  private nameOf(id: string): string {
    const now = Date.now();
    if (this.gesture.id !== id || now - this.gesture.at > GESTURE_MS) this.gesture = { id, count: this.gesture.count + 1, at: now };
    else this.gesture.at = now;
    return `place ${id} ${this.gesture.count}`;
  }

  private set(g: Gear, zone: string, on: On | null, label: string, gesture: string | null): void {
    this.designs.edit(
      label,
      (d) => {
        d.places[g.id] = { when: d.places[g.id]?.when ?? 'now', zone, on };
      },
      gesture,
    );
  }

  move(m: GearMove): void {
    const g = this.gear(m.id);
    const face = facesOf(this.designs.openDesign()).find((f) => f.id === m.face);
    if (!g || !face) return;
    this.set(g, face.zone, { face: m.face, u: m.u, v: m.v, turn: g.turn }, `${g.name} on the ${face.name}`, this.nameOf(m.id));
  }

  /** Marks where something is that was in the vehicle before: in the middle of a face, to be moved to where it was seen. */
  mark(name: string, mm: readonly [number, number, number], face: Face, known: string | null): string {
    const id = known ?? newId();
    const [w, h] = mm;
    this.designs.edit(`${name} is on the ${face.name}`, (d) => {
      const there = d.brief.existing[id];
      if (there) there.mm = [...mm];
      else d.brief.existing[id] = { ...structuredClone(BLANK_EXISTING), order: nextOrder(d.brief.existing), name, mm: [...mm] };
      d.places[existingKey(id)] = { zone: face.zone, when: 'now', on: { face: face.id, u: Math.max(0, Math.round((face.w - w) / 2)), v: Math.max(0, Math.round((face.h - h) / 2)), turn: 0 } };
    });
    return existingKey(id);
  }

  turn(id: string): void {
    const g = this.gear(id);
    if (!g) return;
    const turn = ((g.turn + 90) % 360) as On['turn'];
    this.set(g, g.zone, { face: g.face, u: g.u, v: g.v, turn }, `${g.name} turned`, null);
  }

  put(g: Gear, zone: string, on: On): void {
    this.set(g, zone, on, `${g.name} to another place`, null);
  }

  /** Back to where a draft sets it down. */
  free(g: Gear): void {
    this.designs.edit(g.role === 'there' ? `${g.name} is not there` : `${g.name} to its usual place`, (d) => {
      const when = d.places[g.id]?.when ?? 'now';
      if (when === 'now') delete d.places[g.id];
      else d.places[g.id] = { when, zone: g.zone, on: null };
    });
  }

  when(g: Gear, when: Placement['when']): void {
    this.designs.edit(`${g.name} ${when === 'now' ? 'now' : when === 'later' ? 'for later' : 'as a provision'}`, (d) => {
      d.places[g.id] = { ...(d.places[g.id] ?? { zone: g.zone, on: null }), when };
    });
  }

  /** A typed length gives way to that of the vehicle. */
  freeLength(run: RunSpec): void {
    this.designs.edit(`length of run ${run.number} from the vehicle`, (d) => {
      const { outM: _out, backM: _back, ...kept } = d.runs[run.id] ?? {};
      if (Object.keys(kept).length) d.runs[run.id] = kept;
      else delete d.runs[run.id];
    });
  }
}
