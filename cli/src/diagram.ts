import { buildDiagram, drawingOf, drawingSvg, elkGraph, type Assessment, type Design, type ElkGraph } from '@meridex/core';

interface Engine {
  layout(graph: unknown): Promise<unknown>;
}

/** The line diagram of a design as an SVG file. The layout engine is loaded only when a diagram is asked for. */
export async function diagramSvg(design: Design, a: Assessment): Promise<string> {
  const { default: Elk } = (await import('elkjs/lib/elk.bundled.js')) as unknown as { default: new () => Engine };
  const diagram = buildDiagram({ design, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond });
  const laid = (await new Elk().layout(elkGraph(diagram))) as ElkGraph;
  return `${drawingSvg(drawingOf(diagram, laid), `${design.brief.customer}, line diagram`)}\n`;
}
