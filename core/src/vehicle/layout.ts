import type { Zone, VehicleTemplate } from './template.js';

/** Gear to be drawn: its zone and its size in the side view, mm. */
export interface GearItem {
  readonly id: string;
  readonly zone: string;
  readonly w: number;
  readonly h: number;
}

export interface GearBox extends GearItem {
  readonly x: number;
  readonly y: number;
}

const GAP_MM = 55;

function shelves(zone: Zone, items: readonly GearItem[], scale: number): { readonly boxes: GearBox[]; readonly height: number } {
  const boxes: GearBox[] = [];
  let [x, base, tallest] = [0, 0, 0];
  for (const item of items) {
    const [w, h] = [item.w * scale, item.h * scale];
    if (x > 0 && x + w > zone.w) {
      [x, base] = [0, base + tallest + GAP_MM * scale];
      tallest = 0;
    }
    boxes.push({ ...item, w, h, x: zone.x + x, y: zone.y + zone.h - base - h });
    x += w + GAP_MM * scale;
    tallest = Math.max(tallest, h);
  }
  return { boxes, height: base + tallest };
}

/** Gear set down on shelves in its zones, first come at the bottom left, drawn smaller where a zone is full. */
export function layOut(template: VehicleTemplate, items: readonly GearItem[]): GearBox[] {
  return template.zones.flatMap((zone) => {
    const inside = items.filter((i) => i.zone === zone.id);
    for (let scale = 1; ; scale *= 0.92) {
      const { boxes, height } = shelves(zone, inside, scale);
      if (height <= zone.h || scale < 0.2) return boxes;
    }
  });
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

const middle = (b: GearBox): Point => ({ x: b.x + b.w / 2, y: b.y + b.h / 2 });

/** Path of a run in the side view: straight along the vehicle's own lines, by the chassis when it leaves its zone. */
export function runPath(template: VehicleTemplate, from: GearBox, to: GearBox, lane: number): Point[] {
  const [a, b] = [middle(from), middle(to)];
  if (from.zone === to.zone) return [a, { x: b.x, y: a.y }, b];
  const roof = from.zone === 'roof' || to.zone === 'roof';
  if (roof) return [a, { x: b.x, y: a.y }, b];
  const y = template.chassisY - lane;
  return [a, { x: a.x, y }, { x: b.x, y }, b];
}

/** Slack of a cut length: a share of the path and a service loop at each end, m. */
export const SLACK = { share: 0.1, loopM: 0.2 } as const;

/** Length of cable along a drawn path with its slack, m, to the decimetre above. */
export function pathLengthM(path: readonly Point[]): number {
  let mm = 0;
  for (let i = 1; i < path.length; i++) mm += Math.abs(path[i]!.x - path[i - 1]!.x) + Math.abs(path[i]!.y - path[i - 1]!.y);
  return Math.ceil(10 * ((mm / 1000) * (1 + SLACK.share) + 2 * SLACK.loopM)) / 10;
}
