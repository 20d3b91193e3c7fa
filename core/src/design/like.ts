import { copyDesign } from './edit.js';
import { nothingSaid } from './mains-schema.js';
import type { Design } from './schema.js';

/** A job out of a file of somebody who may not sign for the 230 V side: as it was, but for the signature. */
export function unsigned(design: Design): Design {
  const open = copyDesign(design);
  for (const of of [open, ...Object.values(open.vehicles)]) Object.assign(of.mains, { signed: null, notOurs: null });
  return open;
}

/**
 * The same rig for another customer. A copy of a job leaves behind what belonged to the one vehicle: its plate, its notes,
 * what was bought for it and at which prices, accepted and signed, and by whom; lengths that were measured in it stay, since the next one is planned by them.
 *
 * @example
 * likeJob(design, 'Lantern Street Cinema', true).brief.plate // ''
 */
export function likeJob(design: Design, customer: string, copied: boolean): Design {
  const like = copyDesign(design);
  like.brief.customer = customer;
  if (!copied) return like;
  for (const of of [like, ...Object.values(like.vehicles)]) {
    of.brief.plate = '';
    of.brief.notes = '';
    of.brief.careFrom = null;
    of.accepted = {};
    of.bought = {};
    of.prices = {};
    of.mains = nothingSaid();
  }
  return like;
}
