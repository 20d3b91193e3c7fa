import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import { figure } from '../quantity/index.js';

/** Beyond so many days a battery outlasts every stay that is planned. */
const FOR_LONG_DAYS = 30;

function battery({ supply }: Assessment): string[] {
  const { bank, daysAlone } = supply;
  if (!bank) return [];
  const days = daysAlone < FOR_LONG_DAYS ? `; it runs what you told us for ${figure(daysAlone, 1)} days with nothing coming in` : '';
  return [`Battery of ${figure(bank.capacityAh, 0)} Ah at ${bank.nominalV} V, of which ${figure(bank.usableAh, 0)} Ah are there to be used${days}`];
}

function sun(design: Design, catalogue: Catalogue): string[] {
  const { arrays } = plant(design, catalogue);
  const panelsW = (portable: boolean): number => arrays.reduce((w, a) => (a.portable === portable ? w + a.quantity * a.part.ratedW : w), 0);
  const [fixed, folding] = [panelsW(false), panelsW(true)];
  const what = [...(fixed ? [`${figure(fixed, 0)} W on the vehicle`] : []), ...(folding ? [`${figure(folding, 0)} W to put out`] : [])];
  return what.length ? [`Solar panels: ${what.join(' and ')}`] : [];
}

/** What a plan gives, in words of whoever lives with it. */
export function givesOf(design: Design, catalogue: Catalogue, a: Assessment): string[] {
  const charging = a.supply.charging.map(
    ({ from, chargerA, hours }) => `${from === 'driving' ? 'Charges while you drive' : 'Charges from the mains'} with ${figure(chargerA, 0)} A: full again in ${figure(hours, 1)} h`,
  );
  const { inverter } = a.supply;
  return [...battery(a), ...charging, ...sun(design, catalogue), ...(inverter ? [`230 V from the battery, ${figure(inverter.ratedW, 0)} W`] : [])];
}
