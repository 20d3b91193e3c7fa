import { ChangeDetectionStrategy, Component } from '@angular/core';
import { BankPanel } from './bank-panel';
import { MainsPanel } from './mains-panel';
import { OwnPartsPanel } from './own-parts-panel';
import { RigPanel } from './rig-panel';
import { SunPanel } from './sun-panel';
import { VehiclePanel } from './vehicle-panel';

/** Bank, vehicle, sun and mains side by side; below them whatever there is more of. */
@Component({
  selector: 'mx-feeds',
  imports: [BankPanel, VehiclePanel, SunPanel, MainsPanel, RigPanel, OwnPartsPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid cols">
      <div class="grid">
        <mx-bank-panel class="panel" />
        <mx-sun-panel class="panel" />
      </div>
      <div class="grid">
        <mx-vehicle-panel class="panel" />
        <mx-mains-panel class="panel" />
      </div>
    </div>
    <mx-rig-panel class="panel more" />
    <mx-own-parts class="panel more" />
  `,
  styles: `
    .cols {
      grid-template-columns: repeat(2, minmax(0, 1fr));
      align-items: start;
    }
    .panel {
      display: block;
    }
    .more {
      margin-top: 14px;
    }
    @media (max-width: 820px) {
      .cols {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class FeedsSheet {}
