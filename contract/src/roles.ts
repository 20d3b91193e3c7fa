/** What a person is in a workshop. */
export const ROLES = ['owner', 'electrician', 'apprentice', 'mains electrician', 'viewer', 'reviewer'] as const;
export type Role = (typeof ROLES)[number];

/** What can be done, as far as not everybody may. */
export const DEEDS = [
  'plan',
  'accept',
  'sign mains',
  'tick',
  'read',
  'photo',
  'comment',
  'review',
  'open jobs',
  'settle jobs',
  'quote',
  'reach customers',
  'keep parts',
  'workshop',
  'people',
] as const;
export type Deed = (typeof DEEDS)[number];

/** Who may do what; looking is everybody's, but at how customers are reached. */
export const MAY: Readonly<Record<Role, readonly Deed[]>> = {
  owner: DEEDS,
  electrician: ['plan', 'accept', 'tick', 'read', 'photo', 'comment', 'review', 'open jobs', 'settle jobs', 'quote', 'reach customers', 'keep parts'],
  apprentice: ['plan', 'tick', 'read', 'photo', 'comment', 'reach customers'],
  // The 230 V side of a plan is theirs, and no more of it.
  'mains electrician': ['sign mains', 'tick', 'read', 'photo', 'comment', 'reach customers'],
  viewer: [],
  reviewer: ['comment', 'review'],
};

const DEED_WORDS: Readonly<Record<Deed, string>> = {
  plan: 'change a plan',
  accept: 'accept a finding',
  'sign mains': 'sign for the 230 V side',
  tick: 'tick a step',
  read: 'enter a reading',
  photo: 'add a photo',
  comment: 'say something of a job',
  review: 'mark a plan as reviewed',
  'open jobs': 'open a job',
  'settle jobs': 'set a job’s state and day',
  quote: 'send a quote',
  'reach customers': 'see how customers are reached',
  'keep parts': 'keep parts and vehicles for the workshop',
  workshop: 'change what the workshop says of itself and how it works',
  people: 'invite people and change what they may do',
};

/** True where a role may do something; a role that nobody knows may nothing. @example may('apprentice', 'accept') // false */
export const may = (role: string, deed: Deed): boolean => (MAY[role as Role] ?? []).includes(deed);

/** What a role may, in words. @example mayInWords('reviewer') // 'say something of a job' */
export function mayInWords(role: string): string {
  const deeds = MAY[role as Role] ?? [];
  if (deeds.length === DEEDS.length) return 'all of it';
  return deeds.map((d) => DEED_WORDS[d]).join(', ') || 'look';
}

/** Why one may not, in words; null where one may. @example mayNot('viewer', 'tick') // 'A viewer may not tick a step; an owner, electrician, apprentice or mains electrician may.' */
export function mayNot(role: string, deed: Deed): string | null {
  if (may(role, deed)) return null;
  const who = ROLES.filter((r) => may(r, deed));
  const list = who.length > 1 ? `${who.slice(0, -1).join(', ')} or ${who.at(-1)}` : who[0];
  return `${/^[aeiou]/.test(role) ? 'An' : 'A'} ${role} may not ${DEED_WORDS[deed]}; ${/^[aeiou]/.test(who[0]!) ? 'an' : 'a'} ${list} may.`;
}
