/** A day as the server takes it, by this device's clock. @example isoDay(new Date(2026, 11, 3)) // '2026-12-03' */
export const isoDay = (d: Date): string => `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
