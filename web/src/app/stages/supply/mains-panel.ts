import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { RouterLink } from '@angular/router';
import { catalogueOf, type Design, plant, readWhen, whenText } from '@meridex/core';
import { NumberField } from '../../ui/number-field';
import { PartSelect } from '../../fields/part-select';
import { ReadField, type Reader } from '../../ui/read-field';
import { Mark } from '../../pictures/mark';
import { SupplyPanel } from './panel';

type Spans = Design['inlets'][string]['hours'];

/** Mains charging, inverter, distribution, and what removed gear leaves undone. */
@Component({
  selector: 'mx-mains-panel',
  imports: [RouterLink, NumberField, PartSelect, ReadField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mains-panel.html',
  styleUrl: './panel.less',
})
export class MainsPanel extends SupplyPanel {
  /** The first inlet, where something charges from it. */
  protected readonly inlet = computed(() => {
    const design = this.designs.openDesign();
    const [first] = plant(design, catalogueOf(design)).inlets;
    return first ? { id: first.id, hours: design.inlets[first.id]?.hours ?? [] } : null;
  });
  protected readonly hoursText = (spans: Spans): string => (spans.length ? whenText({ at: 'hours', spans }) : '');
  protected readonly readHours: Reader<Spans> = (text) => {
    if (!text.trim()) return { ok: true, value: [] };
    const read = readWhen(text);
    return read.ok && read.value.at === 'hours' ? { ok: true, value: read.value.spans } : { ok: false, message: `Hours: “${text.trim()}” is not taken; hours such as 8-10, 17-18, or nothing.` };
  };

  protected setHours(hours: Spans): void {
    const id = this.inlet()?.id;
    if (id !== undefined) this.designs.edit('hours on a generator', (d) => void (d.inlets[id]!.hours = hours));
  }

  protected setMainsH(hours: number | null): void {
    this.designs.edit('mains hours', (d) => {
      d.brief.trip.mainsH = hours ?? 0;
      if (hours && d.brief.trip.mainsNights === 'never') d.brief.trip.mainsNights = 'every night';
    });
  }
}
