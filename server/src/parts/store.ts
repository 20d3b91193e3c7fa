import type { Part } from '@meridex/core';
import { desc } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { ownParts } from '../db/schema.js';

/** A part of the workshop's own as it is now. */
export interface KeptPart {
  readonly part: Part;
  readonly retired: boolean;
  readonly author: string;
  readonly at: string;
}

const LISTED = { part: ownParts.document, retired: ownParts.retired, author: ownParts.author, at: ownParts.createdAt };

/** The newest of each part, retired ones too: a job that uses one still wants to know whether it changed. */
export async function keptParts(tx: Tx): Promise<KeptPart[]> {
  return tx.selectDistinctOn([ownParts.partId], LISTED).from(ownParts).orderBy(ownParts.partId, desc(ownParts.createdAt));
}

export async function keepPart(tx: Tx, kept: { readonly workshopId: string; readonly part: Part; readonly author: string; readonly retired: boolean }): Promise<KeptPart> {
  const [row] = await tx.insert(ownParts).values({ workshopId: kept.workshopId, partId: kept.part.id, document: kept.part, retired: kept.retired, author: kept.author }).returning(LISTED);
  return row!;
}
