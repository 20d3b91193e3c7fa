import { assess, buildDiagram, drawingOf, elkGraph, catalogueOf, type Assessment, type Design, type Drawing, type ElkGraph } from '@meridex/core';
import ElkModule, { type ELK, type ElkNode } from 'elkjs/lib/elk.bundled.js';

// The bundle is CommonJS: what it calls its default is one step further in.
const Elk = ElkModule as unknown as new () => ELK;
let elk: ELK | null = null;

/** The laid-out line diagram of a design, with what it was drawn from. */
export async function drawDiagram(design: Design): Promise<{ readonly drawing: Drawing; readonly assessment: Assessment }> {
  const assessment = assess(design, catalogueOf(design));
  const { gear, runs, inline, layout, bond } = assessment;
  const diagram = buildDiagram({ design, gear, runs, inline, leads: layout.leads, bond });
  elk ??= new Elk();
  const laid = (await elk.layout(elkGraph(diagram) as unknown as ElkNode)) as unknown as ElkGraph;
  return { drawing: drawingOf(diagram, laid), assessment };
}
