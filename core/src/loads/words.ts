import { figure } from '../quantity/index.js';
import { type Load } from '../design/index.js';

/** "35 %" or "2 h". */
export function useText(use: Load['use']): string {
  if (use.by === 'hours') return `${Math.round(use.hours * 100) / 100} h`;
  return `${Math.round((use.by === 'duty' ? use.duty : use.duty25) * 1000) / 10} %`;
}

/** "55 W", "4.5 A, 120 s on, 300 s off" or "520 Wh". */
export function drawText(draw: Load['draw']): string {
  if (draw.by === 'plate') return `${draw.value} ${draw.unit}`;
  return draw.by === 'energy' ? `${draw.whDay} Wh` : `${draw.onA} A, ${draw.onS} s on, ${draw.offS} s off`;
}

/** "evening" or "7–8, 17–18". */
export function whenText(when: Load['when']): string {
  return when.at === 'hours' ? when.spans.map(([a, b]) => `${figure(a, a % 1 ? 1 : 0)}–${figure(b, b % 1 ? 1 : 0)}`).join(', ') : when.at;
}

const WORDS = ['all day', 'daytime', 'evening', 'night', 'driving'] as const;

type WhenRead = { readonly ok: true; readonly value: Load['when'] } | { readonly ok: false; readonly message: string };

/** Reads a word or hours of the day; a span over midnight becomes two. */
export const readWhen = (text: string): WhenRead => {
  const typed = text.trim().toLowerCase();
  const word = WORDS.find((w) => w === typed);
  if (word) return { ok: true, value: { at: word } };
  const refuse = { ok: false, message: `When: “${text.trim() || 'nothing'}” is not taken; type ${WORDS.join(', ')}, or hours such as 7-9, 18-22.` } as const;
  const spans: [number, number][] = [];
  for (const part of typed.split(/[,;]\s*/)) {
    const match = /^(\d{1,2}(?:\.\d+)?)\s*(?:-|–|to)\s*(\d{1,2}(?:\.\d+)?)$/.exec(part.trim());
    if (!match) return refuse;
    const [from, to] = [Number(match[1]), Number(match[2])];
    if (from > 24 || to > 24 || from === to) return refuse;
    if (from < to) spans.push([from, to]);
    else spans.push([from, 24], ...(to > 0 ? [[0, to] as [number, number]] : []));
  }
  return spans.length ? { ok: true, value: { at: 'hours', spans } } : refuse;
};
