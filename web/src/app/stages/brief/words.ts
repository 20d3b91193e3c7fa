export const MONTH_NAMES = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'] as const;
export const MAINS_NIGHTS = ['never', 'travel days', 'parked days', 'every night'] as const;
