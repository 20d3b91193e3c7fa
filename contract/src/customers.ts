import { z } from 'zod';
import type { JobState } from './jobs.js';
import { upTo } from './letters.js';

/** How a customer is reached, and what is to be known of them. Their name is that of their jobs' briefs. */
export const contactSchema = z.object({
  phone: upTo(60),
  email: z.union([z.literal(''), z.email({ message: 'an address such as front.desk@hall.example is accepted, or none' }).max(120)]),
  address: upTo(300),
  note: upTo(500),
});
export type Contact = z.infer<typeof contactSchema>;

/** A job as it stands with its customer. */
export interface CustomerJob {
  readonly id: string;
  readonly state: JobState;
  readonly promisedOn: string | null;
  readonly openedAt: string;
  readonly vehicleKind: string;
  readonly plate: string;
}

/** A customer with all their jobs, the newest first. */
export interface Customer extends Contact {
  readonly id: string;
  readonly name: string;
  readonly jobs: readonly CustomerJob[];
}
