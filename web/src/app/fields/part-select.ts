import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { catalogueOf, type PartKind, SHIPPED_CATALOGUE } from '@meridex/core';
import { DesignService } from '../services/design.service';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from './named-select';

/** A part of the catalogue, chosen by name; nothing where that is allowed. */
@Component({
  selector: 'mx-part',
  imports: [FormsModule, NzSelectModule, NamedSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span class="name">{{ name() || label() }}</span>
      <nz-select [nzAllowClear]="!needed()" [nzPlaceHolder]="none()" [attr.aria-label]="label()" [ngModel]="value()" (ngModelChange)="valueChange.emit($event)">
        @for (p of parts(); track p.id) {
          <nz-option [nzValue]="p.id" [nzLabel]="p.name" />
        }
      </nz-select>
    </div>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    nz-select {
      width: 100%;
    }
  `,
})
export class PartSelect {
  readonly kind = input.required<PartKind>();
  readonly label = input.required<string>();
  readonly name = input('');
  readonly none = input('none');
  readonly needed = input(false);
  readonly value = input.required<string | null>();
  readonly valueChange = output<string | null>();
  private readonly designs = inject(DesignService);
  /** The shipped parts, and those of the open job's own; what is built into another part comes with that. */
  protected readonly parts = computed(() => {
    const design = this.designs.design();
    return (design ? catalogueOf(design) : SHIPPED_CATALOGUE).ofKind(this.kind()).filter((p) => p.inside === undefined || p.id === this.value());
  });
}
