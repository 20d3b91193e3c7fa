/** What is written down beside a group's readings, since they rest on it: the bank's charge (%), the light on the panels (W/m²), the air outside (°C). */
export type Beside = 'charge' | 'sun' | 'outside';

/** Key under which what stands beside a group's readings is kept. @example besideKey('sun', 'charge') // 'sun.charge' */
export const besideKey = (group: string, what: Beside): string => `${group}.${what}`;
