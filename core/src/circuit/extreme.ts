/** Cold and stiff for the largest short, hot and weak for the smallest, or as met on the day. */
export type Extreme = 'largest' | 'smallest' | 'typical';
