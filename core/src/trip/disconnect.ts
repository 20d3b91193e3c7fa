/** Waiting times of a low-voltage disconnect, s, and the charge that releases one latched flat. */
export const DISCONNECT = { openAfterS: 60, closeAfterS: 60, offAtLeastS: 600, releaseSoc: 0.05 } as const;
