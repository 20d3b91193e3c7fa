import { inject, Pipe, type PipeTransform } from '@angular/core';
import { money } from '@meridex/core';
import { DesignService } from '../data/design.service';
import { WorkshopService } from '../data/workshop.service';

/** A price with the sign of the open job’s money; where none is open, of the workshop’s. */
@Pipe({ name: 'money', pure: false })
export class MoneyPipe implements PipeTransform {
  private readonly designs = inject(DesignService);
  private readonly workshop = inject(WorkshopService);

  transform(value: number, decimals = 0): string {
    const rules = this.designs.design()?.settings ?? this.workshop.own()?.rules;
    return money(value, rules?.money.sign ?? '', decimals);
  }
}
