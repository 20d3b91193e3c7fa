import { z } from 'zod';

/** Text of so many letters at most, without blanks around it. */
export const upTo = (letters: number) =>
  z
    .string()
    .trim()
    .max(letters, { message: `up to ${letters} letters are accepted` });
