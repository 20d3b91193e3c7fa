import { sunOnly } from '../catalogue/index.js';

import { figure } from '../quantity/index.js';
import type { SunGiven } from './given.js';
import { bankOf, nameOf, NONE, regulates, ribbon, type Look, type Part } from './look.js';

const ah = (x: number): string => `${figure(x, 0)} Ah`;

/** Below this nothing is told, Ah a day. */
const TELL_AH = 0.5;

/** What of a group's panels is put down to each array: by the watt-hours of a clear day. */
function sharesOf({ array }: SunGiven, parkedShare: number): readonly (readonly [id: string, share: number, watts: number, out: boolean, count: number])[] {
  const sum = (w: readonly number[]): number => w.reduce((s, x) => s + x, 0);
  const rated = array.fixed.reduce((s, f) => s + f.part.ratedW * f.quantity, 0);
  const fixed = array.fixed.map((f) => [f.ref.id, rated > 0 ? (sum(array.clearDayW) * f.part.ratedW * f.quantity) / rated : 0, f.part.ratedW * f.quantity, false, f.quantity] as const);
  const out = array.portables.map((x) => [x.ref.id, sum(x.clearDayW) * x.yieldShared * parkedShare, x.ratedW, true, x.count] as const);
  const all = [...fixed, ...out];
  const whole = all.reduce((s, [, w]) => s + w, 0);
  return all.map(([id, w, watts, isOut, count]) => [id, whole > 0 ? w / whole : 1 / all.length, watts, isOut, count]);
}

/** What of a regulator’s sun finds no room, and why. */
export function lostWords({ array, clippedAh, spareAh, eitherAh }: SunGiven): string[] {
  return [
    ...(eitherAh > TELL_AH ? [`${ah(eitherAh)} a day find no room`] : []),
    ...(clippedAh > TELL_AH ? [array.maxA === null ? `${ah(clippedAh)} a day find no room` : `${ah(clippedAh)} a day kept out: ${figure(array.maxA, 0)} A is its limit`] : []),
    ...(spareAh > TELL_AH ? [`${ah(spareAh)} a day find the bank full`] : []),
  ];
}

/** The panels, what regulates them, and what of their sun finds no room. */
export function bySun(l: Look, given: readonly SunGiven[]): Part {
  const { design, p } = l;
  const { days, parkedDays } = design.brief.trip;
  return given.reduce<Part>((all, g) => {
    const regulator = g.array.regulator?.id ?? null;
    const offered = g.usedAh + g.clippedAh + g.spareAh + g.eitherAh;
    const looks = lostWords(g);
    const sources = sharesOf(g, days > 0 ? parkedDays / days : 0);
    const things = sources.map(([id, , watts, out, count], n): Part['things'][number] => {
      const a = design.arrays[id];
      const inSeries = a?.inSeries ?? 1;
      const says = [
        ...(count > 1 ? [`${count} × ${figure(watts / count, 0)} W${inSeries > 1 ? `, ${inSeries} in series` : ''}`] : []),
        ...(out ? ['out when parked'] : (a?.shade ?? 0) > 0 ? [`${figure(100 * a!.shade, 0)} % in shade`] : count > 1 ? [] : ['fixed']),
      ];
      const title = out ? `Portable panel ${figure(watts, 0)} W` : `${count > 1 ? 'Panels' : 'Panel'} ${figure(watts, 0)} W`;
      const nowhere = a?.into === null ? ['hangs on nothing yet'] : [];
      return { id, column: 'gives', title, says, looks: [...nowhere, ...(regulator === null && n === 0 ? looks : [])] };
    });
    const box = p.converters.find((c) => c.ref.id === regulator);
    const controls = box && sunOnly(box.ports) ? box.ports.sunIn : null;
    const controller: Part['things'] =
      box && controls
        ? [
            {
              id: box.ref.id,
              column: 'converts',
              title: nameOf(l, box.ref.id, box.part.name),
              says: [regulates(controls)],
              looks,
            },
          ]
        : [];
    const bank = bankOf(l, box);
    // Straight to a bank a panel brings what is used; into a regulator what it could.
    const toRegulator = regulator === null ? g.usedAh : offered;
    const into = sources.flatMap(([id, share]) => {
      const to = regulator ?? (design.arrays[id]?.into ? bank : undefined);
      return to === undefined ? [] : [ribbon(id, to, 'sun', toRegulator * share, id)];
    });
    const on = regulator !== null && bank !== undefined ? [ribbon(regulator, bank, 'sun', g.usedAh, controls ? regulator : null)] : [];
    return { things: [...all.things, ...things, ...controller], flows: [...all.flows, ...into, ...on] };
  }, NONE);
}
