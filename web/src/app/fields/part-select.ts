import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { catalogueOf, KIND_WORDS, type Part, type PartKind, SHIPPED_CATALOGUE } from '@meridex/core';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { DesignService } from '../data/design.service';
import { OwnPartsService } from '../data/own-parts.service';
import { NamedSelect } from '../ui/named-select';
import { PlateForm } from './plate-form';

/** A part of the catalogue, chosen by name; nothing where that is allowed, and what no list has is typed here. */
@Component({
  selector: 'mx-part',
  imports: [FormsModule, NzModalModule, NzSelectModule, NamedSelect, PlateForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span class="name">{{ name() || label() }}</span>
      <nz-select
        [nzAllowClear]="!needed()"
        [nzPlaceHolder]="none()"
        [nzDropdownRender]="more"
        [(nzOpen)]="open"
        [attr.aria-label]="label()"
        [ngModel]="value()"
        (ngModelChange)="pick($event)"
        (nzOpenChange)="opened($event)"
      >
        @for (p of parts(); track p.id) {
          <nz-option [nzValue]="p.id" [nzLabel]="p.name" />
        }
        @for (p of kept(); track p.id) {
          <nz-option [nzValue]="p.id" [nzLabel]="p.name + ', the workshop’s own'" />
        }
      </nz-select>
      <ng-template #more><button type="button" class="btn plain own" (click)="type()">Not in the list: type it here</button></ng-template>
    </div>
    <nz-modal [nzVisible]="typing()" [nzTitle]="'Not in the list: ' + kindWords[kind()]" [nzFooter]="null" [nzWidth]="680" (nzOnCancel)="typing.set(false)">
      <ng-container *nzModalContent>
        <mx-plate-form [kind]="kind()" (made)="take($event)" />
      </ng-container>
    </nz-modal>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    nz-select {
      width: 100%;
    }
    .own {
      width: 100%;
      justify-content: flex-start;
      border-top: 1px solid var(--rule);
    }
  `,
})
export class PartSelect {
  readonly kind = input.required<PartKind>();
  readonly label = input.required<string>();
  readonly name = input('');
  readonly none = input('none');
  readonly needed = input(false);
  /** Of the kind those alone that suit; null: all. */
  readonly suits = input<((part: Part) => boolean) | null>(null);
  readonly value = input.required<string | null>();
  readonly valueChange = output<string | null>();
  protected readonly kindWords = KIND_WORDS;
  private readonly designs = inject(DesignService);
  private readonly own = inject(OwnPartsService);
  protected readonly open = signal(false);
  /** A data sheet is being typed. */
  protected readonly typing = signal(false);
  /** The shipped parts, and those of the open job's own; what is built into another part comes with that. */
  protected readonly parts = computed(() => {
    const design = this.designs.design();
    return (design ? catalogueOf(design) : SHIPPED_CATALOGUE).ofKind(this.kind()).filter((p) => p.id === this.value() || (p.inside === undefined && (this.suits()?.(p) ?? true)));
  });

  /** What the workshop has kept of this kind and this job does not hold yet. */
  protected readonly kept = computed(() => {
    const here = this.designs.design()?.parts ?? {};
    return this.own.list().flatMap((o) => (o.part.kind === this.kind() && !o.retired && !(o.part.id in here) ? [o.part] : []));
  });

  protected opened(open: boolean): void {
    if (open && !this.own.list().length) void this.own.load();
  }

  /** A part of the workshop’s own comes into the job with its data before it is chosen. */
  protected pick(id: string | null): void {
    const part = this.kept().find((p) => p.id === id);
    if (part) this.designs.edit(`own part: ${part.name}`, (d) => void (d.parts[part.id] = part));
    this.valueChange.emit(id);
  }

  protected type(): void {
    this.open.set(false);
    this.typing.set(true);
  }

  protected take(part: Part): void {
    this.typing.set(false);
    this.valueChange.emit(part.id);
  }
}
