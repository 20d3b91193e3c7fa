import { ChangeDetectionStrategy, Component, computed, inject, type OnInit, signal } from '@angular/core';
import { changedSince, doCommands, KIND_WORDS, type Part, type PartKind, PART_KINDS, patchBetween } from '@meridex/core';
import { Choice } from '../../ui/choice';
import { PlateForm } from '../../fields/plate-form';
import { Mark } from '../../pictures/mark';
import { OwnPartsService } from '../../data/own-parts.service';
import { SupplyPanel } from './panel';

/** A data sheet typed once: the plate's figures, kept for the workshop and used in the job at once. */
@Component({
  selector: 'mx-own-parts',
  imports: [Choice, PlateForm, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-parts-panel.html',
  styleUrls: ['./panel.less', './rig-panel.less', './own-parts-panel.less'],
})
export class OwnPartsPanel extends SupplyPanel implements OnInit {
  protected readonly parts = inject(OwnPartsService);
  protected readonly kinds = PART_KINDS;
  protected readonly kindWords = (k: PartKind): string => KIND_WORDS[k];
  protected readonly kind = signal<PartKind>('battery');
  protected readonly refused = signal<string | null>(null);
  /** The workshop's parts, with how each stands in this job. */
  protected readonly rows = computed(() => {
    const planned = this.designs.openDesign().parts;
    return this.parts.list().map((p) => {
      const here = planned[p.part.id];
      return { ...p, here: here !== undefined, changes: here ? changedSince(here, p.part) : [] };
    });
  });

  ngOnInit(): void {
    void this.parts.load();
  }

  protected use(part: Part): void {
    const design = this.designs.openDesign();
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
