import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign } from '../design/index.js';
import { buildDiagram } from './index.js';

describe('a line diagram of a plan of which something was taken out', () => {
  for (const { key, design } of DEMO_JOBS)
    it(`draws no line to what is not there: ${key}`, () => {
      const paths = [
        ...Object.keys(design.banks).map((id) => `/banks/${id}`),
        ...Object.entries(design.banks).flatMap(([id, bank]) => Object.keys(bank.batteries).map((b) => `/banks/${id}/batteries/${b}`)),
        ...(['switchgear', 'distribution', 'converters', 'arrays', 'monitors', 'loads'] as const).flatMap((part) => Object.keys(design[part]).map((id) => `/${part}/${id}`)),
      ];
      let drawn = 0;
      for (const path of paths) {
        const edited = editDesign(design, [{ op: 'remove', path }]);
        if (!edited.ok) continue;
        const { gear, runs, inline, layout, bond } = assess(edited.design, catalogueOf(edited.design));
        const { nodes, lines } = buildDiagram({ design: edited.design, gear, runs, inline, leads: layout.leads, bond });
        const there = new Set(nodes.map((n) => n.id));
        const loose = lines.filter((l) => !there.has(l.from.node) || !there.has(l.to.node)).map((l) => l.id);
        expect(loose).withContext(path).toEqual([]);
        drawn++;
      }
      expect(drawn).toBeGreaterThan(8);
    });
});
