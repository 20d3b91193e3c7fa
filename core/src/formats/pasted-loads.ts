import { blankLoad, type Load } from '../design/index.js';
import { readTypedNumber } from '../quantity/index.js';

export interface PastedLoads {
  readonly loads: readonly Load[];
  /** Lines that were not taken, with what is wrong, in words. */
  readonly refused: readonly string[];
}

const MAINS = /\b(230|240|ac|mains|inverter)\b/i;
const WHEN: readonly (readonly [RegExp, 'all day' | 'daytime' | 'evening' | 'night' | 'driving'])[] = [
  [/^(all ?day|always|24 ?h)$/i, 'all day'],
  [/evening/i, 'evening'],
  [/night/i, 'night'],
  [/driv/i, 'driving'],
  [/day ?time|^day$/i, 'daytime'],
];
const PURPOSE: readonly (readonly [RegExp, Load['purpose']])[] = [
  [/fridge|freezer/i, 'fridge'],
  [/light|lamp|led/i, 'lights'],
  [/radio|modem|computer|laptop|recorder|screen/i, 'electronics'],
  [/socket|usb|charg/i, 'sockets'],
  [/pump/i, 'pump'],
  [/heat/i, 'heater'],
  [/motor|compressor|winch|tool/i, 'tools'],
];

/** Words of the last columns that say nothing of when: the house side's own supply, and what must not go off. */
const PLAIN = /^(dc|(12|24) ?v|house|critical|must( stay)?( on)?|yes|no|-|–)$/i;

/** When a load runs, from a word or from hours such as "6–9" or "18:00-22:00"; null: it says nothing of that. */
function whenOf(cell: string): Load['when'] | null {
  const hours = /^(\d{1,2})(?::00)? ?(?:h )?(?:-|–|to) ?(\d{1,2})(?::00)? ?h?$/i.exec(cell);
  if (hours) {
    const [from, to] = [Number(hours[1]), Number(hours[2])];
    if (from > 24 || to > 24 || from === to) return null;
    const spans: [number, number][] = from < to ? [[from, to]] : [[from, 24], ...(to > 0 ? ([[0, to]] as [number, number][]) : [])];
    return { at: 'hours', spans };
  }
  const word = WHEN.find(([re]) => re.test(cell));
  return word ? { at: word[1] } : null;
}

/** The purpose that a load's name suggests; "other" when it suggests none. */
export function purposeOf(name: string): Load['purpose'] {
  return PURPOSE.find(([re]) => re.test(name))?.[1] ?? 'other';
}

/** Reads "55 W", "4,5 A" or "1.4 kW", "4.5 A, 120 s on, 300 s off" or "520 Wh" a day; a bare number is watts. */
export function readDraw(text: string): { readonly ok: true; readonly draw: Load['draw'] } | { readonly ok: false; readonly message: string } {
  const came = text.trim();
  const refuse = {
    ok: false,
    message: `Draw: “${came || 'nothing'}” is not taken; type watts or amps such as 55 W or 4.5 A, a measured cycle such as 4.5 A, 120 s on, 300 s off, or Wh a day such as 520 Wh.`,
  } as const;
  const cycle = /^(.+?a(?:mps?)?)\s*,?\s*(\d+(?:[.,]\d+)?)\s*s\s*on\s*,?\s*(\d+(?:[.,]\d+)?)\s*s\s*off$/i.exec(came);
  if (cycle) {
    const onA = readTypedNumber(cycle[1]!, { name: 'Draw', unit: 'A', min: 0, max: 1000 });
    const [onS, offS] = [Number(cycle[2]!.replace(',', '.')), Number(cycle[3]!.replace(',', '.'))];
    return onA.ok && onS > 0 && onS <= 86400 && offS <= 86400 ? { ok: true, draw: { by: 'measured', onA: onA.value, onS, offS } } : refuse;
  }
  if (/wh(\s*(a|per)\s*day)?$/i.test(came)) {
    const wh = readTypedNumber(came.replace(/\s*(a|per)\s*day$/i, ''), { name: 'Draw', unit: 'Wh', min: 0, max: 100000 });
    return wh.ok ? { ok: true, draw: { by: 'energy', whDay: wh.value } } : refuse;
  }
  const unit = /\d\s*m?a(mps?)?$/i.test(came) ? 'A' : 'W';
  const read = readTypedNumber(text, { name: 'Draw', unit, min: 0, max: 100000 });
  return read.ok ? { ok: true, draw: { by: 'plate', unit, value: read.value } } : refuse;
}

/** Reads how much of its hours a load runs: "35 %" or a share such as 0.35 is duty, "2 h" or "30 min" is hours a day. */
export function readUse(text: string): { readonly ok: true; readonly use: Load['use'] } | { readonly ok: false; readonly message: string } {
  const came = text.trim();
  const refuse = { ok: false, message: `Runs: “${came || 'nothing'}” is not taken; type a duty from 0 to 100 %, or hours a day from 0 to 24 such as 2 h.` } as const;
  if (/h|min/i.test(came)) {
    const hours = readTypedNumber(came, { name: 'Runs', unit: 'h', min: 0, max: 24 });
    return hours.ok ? { ok: true, use: { by: 'hours', hours: hours.value } } : refuse;
  }
  const percent = readTypedNumber(came, { name: 'Runs', unit: '%', min: 0, max: 100 });
  if (!percent.ok) return refuse;
  const share = came.includes('%') || percent.value > 1 ? percent.value / 100 : percent.value;
  return { ok: true, use: { by: 'duty', duty: share } };
}

function readLine(line: string, order: number): Load | string | null {
  const cells = line.split(line.includes('\t') ? '\t' : /;|(?<!\d),|,(?!\d)/).map((c) => c.trim());
  const [name, drawText, useText = '100 %', ...rest] = cells;
  if (!name || (order === 1 && /^(name|load|appliance)/i.test(name))) return null;
  if (drawText === undefined) return `“${line.trim()}”: a name and a draw are needed, such as “fridge, 55 W, 35 %”.`;
  const draw = readDraw(drawText);
  if (!draw.ok) return `“${name}”: ${draw.message}`;
  const use = readUse(useText);
  if (!use.ok) return `“${name}”: ${use.message}`;
  const tail = rest.join(' ');
  const odd = rest.find((c) => c && !whenOf(c) && !MAINS.test(c) && !PLAIN.test(c));
  if (odd !== undefined) return `“${name}”: “${odd}” is not taken for when or how it runs; type all day, daytime, evening, night, driving or hours such as 6–9, mains or 12 V, critical.`;
  const when = rest.map(whenOf).find((w) => w !== null) ?? { at: 'all day' as const };
  return {
    ...blankLoad(order),
    name: name.slice(0, 80),
    purpose: purposeOf(name),
    supply: MAINS.test(tail) ? 'mains' : 'dc',
    draw: draw.draw,
    use: use.use,
    when,
    critical: /critical|must/i.test(tail),
  };
}

/**
 * Reads a load list pasted from a spreadsheet: name, draw, runs, when, supply; tabs, semicolons or commas between.
 * @example readPastedLoads('fridge\t55 W\t35 %\tall day').loads[0].name // 'fridge'
 */
export function readPastedLoads(text: string, firstOrder = 1): PastedLoads {
  const loads: Load[] = [];
  const refused: string[] = [];
  for (const line of text.split(/\r?\n/).filter((l) => l.trim())) {
    const read = readLine(line, firstOrder + loads.length);
    if (typeof read === 'string') refused.push(read);
    else if (read) loads.push(read);
  }
  return { loads, refused };
}
