import { z } from 'zod';

/** A figure of a plate: above nothing, in words that name what is accepted. */
export const above = (unit: string, most: number) =>
  z
    .number({ message: `a number of ${unit} is accepted` })
    .gt(0, { message: `more than 0 ${unit} is accepted` })
    .max(most, { message: `up to ${most} ${unit} is accepted` });

/** The same of what is counted. */
export const counted = (unit: string, most: number) => above(unit, most).int({ message: 'a whole number is accepted' });
