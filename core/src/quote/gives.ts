import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import { figure } from '../quantity/index.js';

/** Beyond so many days a battery outlasts every stay that is planned. */
const FOR_LONG_DAYS = 30;
/** A figure and its unit stay on one line. */
const of = (value: number, unit: string, decimals = 0): string => `${figure(value, decimals)}\u00a0${unit}`;

function battery({ supply }: Assessment): string[] {
  const { bank, daysAlone } = supply;
  if (!bank) return [];
  const days = daysAlone < FOR_LONG_DAYS ? `; it runs what you told us for ${of(daysAlone, 'days', 1)} with nothing coming in` : '';
  return [`Battery of ${of(bank.capacityAh, 'Ah')} at ${of(bank.nominalV, 'V')}, ${of(bank.usableAh, 'Ah')} of it usable${days}`];
}

function sun(design: Design, catalogue: Catalogue): string[] {
  const { arrays } = plant(design, catalogue);
  const panelsW = (portable: boolean): number => arrays.reduce((w, a) => (a.portable === portable ? w + a.quantity * a.part.ratedW : w), 0);
  const [fixed, folding] = [panelsW(false), panelsW(true)];
  const what = [...(fixed ? [`${of(fixed, 'W')} on the vehicle`] : []), ...(folding ? [`${of(folding, 'W')} to put out`] : [])];
  return what.length ? [`Solar panels: ${what.join(' and ')}`] : [];
}

const CHARGES: Readonly<Record<Assessment['supply']['charging'][number]['from'], string>> = {
  driving: 'Charges while you drive',
  mains: 'Charges from the mains',
  lead: 'Charges from the other battery, by a lead',
};

/** What a plan gives, in words of whoever lives with it. */
export function givesOf(design: Design, catalogue: Catalogue, a: Assessment): string[] {
  const charging = a.supply.charging.map(({ from, chargerA, hours }) => `${CHARGES[from]} with ${of(chargerA, 'A')}: full again in ${of(hours, 'h', 1)}`);
  const { inverter } = a.supply;
  return [...battery(a), ...charging, ...sun(design, catalogue), ...(inverter ? [`230 V from the battery, ${of(inverter.ratedW, 'W')}`] : [])];
}
