import type { Design } from '../design/index.js';
import { groupsUsed } from '../places/index.js';
import type { Add } from './line.js';
import { PLANNING_PRICES as PRICE } from './prices.js';

/** Switch banks and joint strips with as many ways as hang on them, and what taps a wire that is there. */
export function addShared(add: Add, design: Design): void {
  const loads = Object.values(design.loads).filter((l) => l.supply === 'dc');
  for (const [id, group] of groupsUsed(design)) {
    const ways = loads.filter((l) => l.feed.by === 'group' && l.feed.group === id).length;
    const bank = group.kind === 'switch bank';
    const what = `${group.kind}, ${ways} ways${group.fuses === 'one each' ? ', a fuse in each' : ''}`;
    add(
      {
        key: `group-${what}`,
        group: 'devices',
        what,
        quantity: 1,
        unit: 'pc',
        priceEach: bank ? PRICE.switchBase + PRICE.switchEach * ways : PRICE.stripBase + PRICE.stripEach * ways,
        kg: 0.1 + 0.05 * ways,
      },
      group.name || group.kind,
    );
  }
  for (const l of loads) {
    if (l.feed.by !== 'wire' || !design.brief.traces[l.feed.wire]) continue;
    const tap = l.feed.how === 'fuse tap';
    add(
      {
        key: tap ? 'fuse-tap' : 'joint-sealed',
        group: 'joints',
        what: tap ? 'fuse tap with a second fuse holder' : 'crimped joint with sealing sleeve',
        quantity: tap ? 1 : 2,
        unit: 'pc',
        priceEach: tap ? PRICE.fuseTap : PRICE.joint,
        kg: 0.02,
      },
      l.name,
    );
  }
}
