import { DEEDS, may, mayInWords, mayNot, ROLES } from './roles.js';

describe('who may do what', () => {
  it('is all of it for the owner, nothing for who only looks, nothing for a role that is none', () => {
    expect(DEEDS.every((d) => may('owner', d))).toBeTrue();
    for (const role of ['viewer', 'king']) expect(DEEDS.some((d) => may(role, d))).toBeFalse();
    expect(DEEDS.filter((d) => may('reviewer', d))).toEqual(['comment', 'review']);
  });
  it('lets an apprentice plan, tick and take photos, not accept, nor open or settle jobs', () =>
    expect(DEEDS.filter((d) => may('apprentice', d))).toEqual(['plan', 'tick', 'read', 'photo', 'comment', 'reach customers']));
  it('is told in words', () =>
    expect(['owner', 'mains electrician', 'viewer', 'king'].map(mayInWords)).toEqual([
      'all of it',
      'sign for the 230 V side, tick a step, enter a reading, add a photo, say something of a job, see how customers are reached',
      'look',
      'look',
    ]));
  it('is told with who may instead', () => {
    expect(mayNot('apprentice', 'accept')).toBe('An apprentice may not accept a finding; an owner or electrician may.');
    expect(mayNot('electrician', 'people')).toBe('An electrician may not invite people and change what they may do; an owner may.');
    expect(mayNot('electrician', 'sign mains')).toBe('An electrician may not sign for the 230 V side; an owner or mains electrician may.');
    for (const role of ROLES) for (const deed of DEEDS) expect(mayNot(role, deed) === null).toBe(may(role, deed));
  });
});
