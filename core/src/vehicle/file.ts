import type { z } from 'zod';
import { vehicleSchema, type Vehicle } from '../design/index.js';
import { troubleInWords, vehicleTroubles } from './checked.js';

export type ReadVehicle = { readonly ok: true; readonly vehicle: Vehicle; readonly warnings: readonly string[] } | { readonly ok: false; readonly message: string };

function got(raw: unknown, path: readonly PropertyKey[]): string {
  let here = raw;
  for (const key of path) here = typeof here === 'object' && here !== null ? (here as Record<PropertyKey, unknown>)[key] : undefined;
  if (here === undefined) return 'nothing came';
  const text = JSON.stringify(here) ?? typeof here;
  return `came ${text.length > 40 ? `${text.slice(0, 37)}…` : text}`;
}

function complaint(raw: unknown, error: z.ZodError): string {
  const issue = error.issues[0]!;
  return `${issue.path.join(' › ') || 'the file'}: ${issue.message}; ${got(raw, issue.path)}.`;
}

/**
 * Reads a vehicle file. What the schema refuses is refused with the field, what came and what is accepted; what can be
 * read but not planned with comes along as warnings.
 */
export function readVehicleFile(text: string): ReadVehicle {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { ok: false, message: 'The file is not JSON; a vehicle file as Meridex saves it is accepted.' };
  }
  const parsed = vehicleSchema.safeParse(raw);
  if (!parsed.success) return { ok: false, message: complaint(raw, parsed.error) };
  return { ok: true, vehicle: parsed.data, warnings: vehicleTroubles(parsed.data).map((t) => troubleInWords(t).say) };
}

/** A vehicle as its file. */
export const writeVehicleFile = (vehicle: Vehicle): string => `${JSON.stringify(vehicle, null, 2)}\n`;
