import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { needModules } from './lib/packages.mjs';
import { ROOT } from './lib/run.mjs';
import { say } from './lib/say.mjs';

// How long the heavy things take: medians of many runs on this machine, against what is wanted.
needModules();
build();
const { assess, circuitSchema, DEMO_JOBS, SHIPPED_CATALOGUE, simulateTrip, solveCircuit, tripInputSchema } = await import(join(ROOT, 'core/dist/index.js'));

function median(run, rounds) {
  for (let i = 0; i < Math.ceil(rounds / 4); i++) run();
  const times = Array.from({ length: rounds }, () => {
    const from = performance.now();
    run();
    return performance.now() - from;
  });
  return times.sort((a, b) => a - b)[rounds >> 1];
}

/** The biggest demo job, and the same with its loads repeated up to sixty circuits. */
function sixtyCircuits(design) {
  const big = structuredClone(design);
  big.supply.fuseBlock = 'fb-20';
  const kinds = Object.values(design.loads).filter((l) => l.supply === 'dc');
  for (let i = 0; Object.keys(big.loads).length < 52; i++) big.loads[`more${i}`] = { ...kinds[i % kinds.length], order: 100 + i, name: `circuit ${i}` };
  return big;
}

const byRuns = DEMO_JOBS.map((j) => ({ design: j.design, runs: assess(j.design, SHIPPED_CATALOGUE).runs.length })).sort((a, b) => b.runs - a.runs);
const largest = byRuns[0];
const sixty = sixtyCircuits(largest.design);
const circuit = circuitSchema.parse(JSON.parse(readFileSync(join(ROOT, 'core/vectors/network/16-large-200-nodes.json'), 'utf8')));
const trip = tripInputSchema.parse({ ...JSON.parse(readFileSync(join(ROOT, 'core/vectors/trips.json'), 'utf8')).cases[1].input, days: 14, stepS: 60, clearness: null });

const rows = [
  [`assess, largest demo job (${largest.runs} runs)`, median(() => assess(largest.design, SHIPPED_CATALOGUE), 60), 16],
  [`assess, ${assess(sixty, SHIPPED_CATALOGUE).runs.length} runs`, median(() => assess(sixty, SHIPPED_CATALOGUE), 40), 16],
  ['solve, 200 nodes', median(() => solveCircuit(circuit), 400), 2],
  ['trip, 14 days at 60 s', median(() => simulateTrip(trip), 100), 20],
];
for (const [name, ms, wanted] of rows) say(`${name.padEnd(44)} ${ms.toFixed(2).padStart(8)} ms   wanted < ${wanted} ms   ${(ms / wanted).toFixed(2)} of it`);
