import { asFurther } from './in-job.js';
import { blankDesign } from './blank.js';
import { likeJob, unsigned } from './like.js';
import type { Design } from './schema.js';

describe('a job like another', () => {
  const signed = { by: 'Mia', licence: '77', on: '2026-11-28', statement: 'tested' };
  const vowed = (d: Design): Design => {
    Object.assign(d.brief, { plate: 'OLD 1', notes: 'the dog bites' });
    d.accepted['joints-lose:a'] = { by: 'Sam', reason: 'seen', at: '2026-11-28' };
    d.mains = { answers: { apart: 'own conduit' }, signed, notOurs: null };
    return d;
  };
  const job = vowed(blankDesign('First'));
  job.vehicles['camper'] = asFurther(vowed(blankDesign('First')), 1, 'camper');

  it('takes the rig along, and leaves behind in every vehicle what was said of the one: plate, notes, what was accepted and what was signed', () => {
    const like = likeJob(job, 'Second', true);
    expect([like.brief.customer, like.converters]).toEqual(['Second', job.converters]);
    for (const of of [like, like.vehicles['camper']!]) expect([of.brief.plate, of.brief.notes, of.accepted, of.mains]).toEqual(['', '', {}, { answers: {}, signed: null, notOurs: null }]);
    expect(job.mains.signed).toEqual(signed);
  });

  it('keeps all but the signature where who opens its file may not sign', () => {
    const open = unsigned(job);
    for (const of of [open, open.vehicles['camper']!]) expect(of.mains).toEqual({ answers: { apart: 'own conduit' }, signed: null, notOurs: null });
    expect([open.accepted, job.mains.signed]).toEqual([job.accepted, signed]);
  });

  it('keeps all of it where it is the same job, read from its file', () => {
    const same = likeJob(job, 'First', false);
    expect([same.mains, same.accepted, same.brief.plate]).toEqual([job.mains, job.accepted, 'OLD 1']);
  });
});
