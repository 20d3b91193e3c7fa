import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { type Asked, leadsIn, type RigConverter, type RigRow } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { PartSelect } from '../../fields/part-select';
import { SupplyPanel } from './panel';

/** The fields of one thing of a rig: what it is, where it hangs, how many, and how it is set. */
@Component({
  selector: 'mx-thing-fields',
  imports: [NzInputModule, Choice, NumberField, PartSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let r = row();
    <div class="fields">
      <mx-part [kind]="r.kind" [label]="'Part of ' + r.name" name="Part" [needed]="true" [value]="r.part" (valueChange)="change({ part: $event })" />
      @if (r.called !== null) {
        <div class="field">
          <span class="name">Called</span
          ><input nz-input maxlength="80" [placeholder]="r.name" [attr.aria-label]="'Name of the ' + r.name" [value]="r.called" (change)="call($any($event.target).value)" />
        </div>
      }
      @if (r.hooks.length) {
        <mx-choice [label]="r.name + ' joined to'" name="Joined to" [of]="hookIds()" [words]="hookWords" [value]="r.on" (valueChange)="hang($event)" />
      }
      @if (r.feeds.length) {
        <mx-choice [label]="r.name + ' fed from'" name="Fed from" [of]="feedIds()" [words]="feedWords" [value]="r.fed" (valueChange)="feed($event)" />
      }
      @if (r.count !== null) {
        <div class="field">
          <span class="name">Count</span
          ><mx-number [label]="'Count of ' + r.name" [min]="1" [max]="r.kind === 'battery' ? 12 : 40" [integer]="true" [value]="r.count" (valueChange)="change({ count: $event ?? 1 })" />
        </div>
      }
      @if (r.inSeries !== null) {
        <div class="field">
          <span class="name">In series</span
          ><mx-number [label]="'In series of ' + r.name" [min]="1" [max]="10" [integer]="true" [value]="r.inSeries" (valueChange)="change({ inSeries: $event ?? 1 })" />
        </div>
      }
      @if (r.shade !== null) {
        <div class="field">
          <span class="name">In shade</span
          ><mx-number [label]="'Shade on ' + r.name" unit="%" [min]="0" [max]="100" [decimals]="0" [value]="100 * r.shade" (valueChange)="change({ shade: ($event ?? 0) / 100 })" />
        </div>
      }
      @if (r.trigger !== null) {
        <mx-choice [label]="r.name + ' is switched by'" name="Switched by" [of]="triggers" [value]="r.trigger" (valueChange)="change({ trigger: $event })" />
      }
    </div>
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
      gap: 8px 10px;
    }
  `,
})
export class ThingFields extends SupplyPanel {
  readonly row = input.required<RigRow>();
  /** What a command has against a change, in words; null: it is made. */
  readonly refused = output<string | null>();
  protected readonly triggers: readonly RigConverter['trigger'][] = ['ignition wire', 'volts', 'always-live wire'];

  protected hookIds = (): readonly string[] => [...(this.row().on === '' ? [''] : []), ...this.row().hooks.map((h) => h.id)];
  protected readonly hookWords = (id: string): string => this.row().hooks.find((h) => h.id === id)?.words ?? 'nothing yet';

  private command(words: string, asked: Asked): void {
    this.refused.emit(this.commands(words, [asked]));
  }

  protected change(set: object): void {
    const { id, kind, name } = this.row();
    const asked: Asked = kind === 'battery' ? { do: 'setBatteries', with: { batteries: id, ...set } } : { do: 'changeThing', with: { thing: id, set } };
    this.command(`${Object.keys(set).join(', ')} of the ${name}`, asked);
  }

  protected call(name: string): void {
    this.change({ name: name.trim() });
  }

  protected feedIds = (): readonly string[] => [...(this.row().fed === '' ? [''] : []), ...this.row().feeds.map((h) => h.id)];
  protected readonly feedWords = (id: string): string => this.row().feeds.find((h) => h.id === id)?.words ?? 'nothing yet';

  /** Feeds a charger anew; a lead that fed it is taken away, one from another bank is laid. */
  protected feed(from: string): void {
    const { id, fed, name, feeds } = this.row();
    const { vehicle } = this.within();
    const hook = feeds.find((h) => h.id === from);
    if (!hook || from === fed) return;
    const lead = leadsIn(this.within().job).find(([, c]) => c.to === vehicle && c.inlet === fed);
    const asked: Asked[] = [
      ...(lead ? [{ do: 'uncouple' as const, with: { coupling: lead[0] } }] : []),
      hook.rig === undefined ? { do: 'hang', with: { thing: id, on: from }, in: vehicle } : { do: 'couple', with: { from: hook.rig, to: vehicle, carries: 'dc', converter: id } },
    ];
    this.refused.emit(this.jobCommands(`${name} fed from ${hook.words}`, asked));
  }

  protected hang(on: string): void {
    if (on !== '') this.command(`${this.row().name} hung anew`, { do: 'hang', with: { thing: this.row().id, on } });
  }
}
