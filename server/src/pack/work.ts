import type { Review, Workshop } from '@meridex/contract';
import { assessIn, catalogueOf, type Design, handOverPack, recordKey, recordsOf, testPlan, vehicleOf } from '@meridex/core';
import { designOf } from '../designs/of-vehicle.js';
import type { Reading } from '../readings/store.js';
import type { Tick } from '../ticks/store.js';
import { packPdf } from './paper.js';

/** What a pack is made of: the job as it is, with what was read, ticked and seen. */
export interface PackAsked {
  readonly revision: { readonly design: Design; readonly number: number };
  readonly readings: Readonly<Record<string, Reading>>;
  readonly ticks: readonly Tick[];
  readonly workshop: Workshop;
  readonly photos: readonly { readonly about: string; readonly caption: string; readonly at: string; readonly image: Uint8Array }[];
  /** Newest first. */
  readonly reviews: readonly Review[];
  readonly vehicle: string;
  readonly today: string;
}

export interface PackFile {
  readonly name: string;
  readonly pdf: Uint8Array;
}

/** The hand-over pack of one vehicle of a job; null: the job has no such vehicle. */
export default async function packFile({ vehicle, today, ...found }: PackAsked): Promise<PackFile | null> {
  const { design: job, number } = found.revision;
  const design = designOf(job, vehicle);
  if (!design) return null;
  const own = recordsOf(vehicle, found.readings);
  const values = Object.fromEntries(Object.entries(own).map(([row, r]) => [row, r.value]));
  const taken = Object.fromEntries(Object.entries(own).map(([row, r]) => [row, { value: r.value, at: r.at, by: r.author }]));
  const done = Object.fromEntries(found.ticks.map((t) => [t.stepId, t.done]));
  const ticked = new Set(Object.entries(recordsOf(vehicle, done)).flatMap(([step, is]) => (is ? [step] : [])));
  const left = { readings: taken, plan: testPlan(design, catalogueOf(job)), ticked, reviewed: found.reviews[0] ?? null };
  const assessment = assessIn(job, vehicle, catalogueOf(job), { readings: values });
  const pack = handOverPack(design, assessment, vehicleOf(design).name, left);
  // Those of the vehicle, each with the step or reading that it shows.
  const read = [...assessment.prove, ...(left.plan?.groups.flatMap((g) => g.rows) ?? [])];
  const about = new Map([...assessment.fit.map((s) => [s.id, s.text] as const), ...read.map((r) => [r.id, `Reading: ${r.where}`] as const)].map(([id, says]) => [recordKey(vehicle, id), says]));
  const mark = recordKey(vehicle, '');
  const shown = found.photos.flatMap((p) =>
    about.has(p.about) || p.about === mark ? [{ says: [about.get(p.about) ?? 'The job', p.caption, p.at.slice(0, 10)].filter(Boolean).join(', '), image: Buffer.from(p.image) }] : [],
  );
  const pdf = await packPdf(pack, found.workshop, number, today, shown);
  const name = `${pack.title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-pack.pdf`;
  return { name, pdf };
}
