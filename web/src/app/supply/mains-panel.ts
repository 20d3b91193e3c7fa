import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NumberField } from '../fields/number-field';
import { PartSelect } from '../fields/part-select';
import { Mark } from '../pictures/mark';
import { SupplyPanel } from './panel';

/** Mains charging, inverter, distribution, and what removed gear leaves undone. */
@Component({
  selector: 'mx-mains-panel',
  imports: [RouterLink, NumberField, PartSelect, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mains-panel.html',
  styleUrl: './panel.less',
})
export class MainsPanel extends SupplyPanel {
  protected setMainsH(hours: number | null): void {
    this.designs.edit('mains hours', (d) => {
      d.brief.trip.mainsH = hours ?? 0;
      if (hours && d.brief.trip.mainsNights === 'never') d.brief.trip.mainsNights = 'every night';
    });
  }
}
