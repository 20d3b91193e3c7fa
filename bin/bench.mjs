import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { tsImport } from 'tsx/esm/api';
import { build } from './build.mjs';
import { needModules } from './lib/packages.mjs';
import { ROOT } from './lib/run.mjs';
import { say } from './lib/say.mjs';

// How long the heavy things take: medians of many runs on this machine, against what is wanted.
needModules();
build();
const {
  assess,
  AS_IT_IS,
  buildDiagram,
  buildPlan,
  circuitPlan,
  circuitSchema,
  DEMO_JOBS,
  elkGraph,
  faultBook,
  jobOf,
  PARKED,
  searchFault,
  Session,
  settle,
  sweep,
  SHIPPED_CATALOGUE,
  simulateTrip,
  simulateWhatIf,
  solveCircuit,
  threeDrafts,
  tripInputSchema,
  whatHelps,
  supplyOf,
} = await import(join(ROOT, 'core/dist/index.js'));

function median(run, rounds, warm = Math.ceil(rounds / 4)) {
  for (let i = 0; i < warm; i++) run();
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
  Object.assign(supplyOf(big), { fuseBlock: 'fb-20', mainSwitch: 'sw-500', shunt: 'shunt-1000', disconnect: { part: 'lvd-220', pole: 'positive' } });
  // Light ones, so that block, disconnect and main run carry them all and every run has its size.
  const kinds = Object.values(design.loads).filter((l) => l.supply === 'dc');
  for (let i = 0; Object.keys(big.loads).length < 52; i++)
    big.loads[`more${i}`] = { ...kinds[i % kinds.length], order: 100 + i, name: `circuit ${i}`, draw: { by: 'plate', unit: 'W', value: 6 + (i % 9) } };
  return big;
}

const byRuns = DEMO_JOBS.map((j) => ({ design: j.design, runs: assess(j.design, SHIPPED_CATALOGUE).runs.length })).sort((a, b) => b.runs - a.runs);
const largest = byRuns[0];
const sixty = sixtyCircuits(largest.design);
/** What a worker has assessed before someone drags: the page asks it at every keystroke, and the engine compiles what is used often. */
const WARM = 120;
/** The next of many designs that differ in a word of the brief, so that nothing is known of it yet. */
let words = 0;
const anew = (design) => ({ ...design, brief: { ...design.brief, notes: `word ${words++}` } });
/** The next of many with one thing moved by some millimetres, as a drag does; no place comes twice. */
function dragged(design) {
  const g = assess(design, SHIPPED_CATALOGUE).gear.find((x) => x.role === 'charger');
  let n = 0;
  return () => ({ ...design, places: { ...design.places, [g.id]: { zone: g.zone, on: { face: g.face, u: g.u + 3 * (n++ % 200), v: g.v, turn: g.turn }, when: 'now' } } });
}
const next = dragged(sixty);
const circuit = circuitSchema.parse(JSON.parse(readFileSync(join(ROOT, 'core/vectors/network/16-large-200-nodes.json'), 'utf8')));
const trip = tripInputSchema.parse({ ...JSON.parse(readFileSync(join(ROOT, 'core/vectors/trips.json'), 'utf8')).cases[1].input, days: 14, stepS: 60, clearness: null });

// A thousand trips of a demo job's kind, shared out to two workers as the page does it.
const TRIPS = 1000;
const manyJob = jobOf(trip);
const SHARE = `
  const { parentPort, workerData } = require('node:worker_threads');
  import(workerData.core).then(({ runMany }) => {
    runMany(workerData.job, { seed: 1, from: 0, to: 20, meanClearness: 0.6 });
    parentPort.postMessage('warm');
    parentPort.on('message', ([from, to]) => {
      runMany(workerData.job, { seed: 1, from, to, meanClearness: 0.6 });
      parentPort.postMessage('done');
    });
  });`;
const heard = (worker) => new Promise((resolve) => worker.once('message', resolve));
async function thousandTrips(rounds) {
  const crew = [0, 1].map(() => new Worker(SHARE, { eval: true, workerData: { core: join(ROOT, 'core/dist/index.js'), job: manyJob } }));
  await Promise.all(crew.map(heard));
  const times = [];
  for (let n = 0; n < rounds; n++) {
    const from = performance.now();
    await Promise.all(
      crew.map((worker, w) => {
        worker.postMessage([(w * TRIPS) / 2, ((w + 1) * TRIPS) / 2]);
        return heard(worker);
      }),
    );
    times.push(performance.now() - from);
  }
  await Promise.all(crew.map((worker) => worker.terminate()));
  return times.sort((a, b) => a - b)[rounds >> 1];
}
const { plainTrip } = await tsImport('../core/src/testing/plain-trip.ts', import.meta.url);
const oneTrip = median(() => simulateTrip(trip), 60);
const plain = median(() => plainTrip(trip), 5);
const winter = DEMO_JOBS.find((j) => j.key === 'survey').design;

// A thousand nodes: a bus with two hundred runs of five pieces each, a load at the end of every one.
const thousand = {
  ground: 'g',
  nodes: ['g', 'bus', ...Array.from({ length: 200 }, (_, k) => [0, 1, 2, 3, 4].map((i) => `n${k}.${i}`)).flat()],
  resistors: Array.from({ length: 200 }, (_, k) => [0, 1, 2, 3, 4].map((i) => ({ id: `r${k}.${i}`, a: i ? `n${k}.${i - 1}` : 'bus', b: `n${k}.${i}`, ohm: 0.004 + 0.0001 * k }))).flat(),
  sources: [{ id: 'battery', plus: 'bus', minus: 'g', volt: 13, ohm: 0.0005 }],
  loads: Array.from({ length: 200 }, (_, k) => ({ id: `l${k}`, plus: `n${k}.4`, minus: 'g', kind: 'power', value: 4 + (k % 7) })),
};
const sixtyPlan = circuitPlan(sixty, SHIPPED_CATALOGUE, assess(sixty, SHIPPED_CATALOGUE));
if (sixtyPlan.leftOut.length) say(`of the sixty circuits these have no size: ${sixtyPlan.leftOut.join(', ')}`);

const WARM_LAYOUTS = 6;
/** Median of a layout, which answers later. */
async function layoutMs(rounds) {
  const { default: Elk } = await import('elkjs/lib/elk.bundled.js');
  const elk = new Elk();
  const a = assess(sixty, SHIPPED_CATALOGUE);
  const graph = elkGraph(buildDiagram({ design: sixty, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond }));
  const times = [];
  for (let n = 0; n < rounds + WARM_LAYOUTS; n++) {
    const from = performance.now();
    await elk.layout(structuredClone(graph));
    times.push(performance.now() - from);
  }
  return times.slice(WARM_LAYOUTS).sort((x, y) => x - y)[rounds >> 1];
}

const faults = faultBook(sixty, SHIPPED_CATALOGUE);
/** Of a page: what is kept from pass to pass. */
const session = new Session();
const steps = assess(largest.design, SHIPPED_CATALOGUE).fit;
const rows = [
  [`assess, largest demo job (${largest.runs} runs)`, median(() => assess(anew(largest.design), SHIPPED_CATALOGUE, { session }), 60, WARM), 16],
  [`assess, ${assess(sixty, SHIPPED_CATALOGUE).runs.length} runs, everything anew, cold`, median(() => assess(anew(sixty), SHIPPED_CATALOGUE), 30, 0), 16],
  ['the same in a worker that is in use', median(() => assess(anew(sixty), SHIPPED_CATALOGUE, { session }), 60, WARM), 16],
  ['the same while gear is dragged', median(() => assess(next(), SHIPPED_CATALOGUE, { session }), 60, WARM), 16],
  ['solve, 200 nodes', median(() => solveCircuit(circuit), 400), 2],
  ['solve, 1000 nodes', median(() => solveCircuit(thousand), 100), 10],
  ['a state of 60 circuits, all settled', median(() => settle(sixtyPlan, PARKED), 60), 16],
  ['the worst state of each of 60 circuits', median(() => sweep(sixtyPlan), 12), 400],
  ['the line diagram of 60 circuits', await layoutMs(9), 400],
  [`the next test for a fault (${faults.faults.length} faults, ${faults.probes.length} tests)`, median(() => searchFault(faults, { readings: [], complaints: [] }), 5), 300],
  ['the build order of the largest demo job', median(() => buildPlan(steps), 3), 3000],
  ['trip, 14 days at 60 s', oneTrip, 20],
  ['1000 trips × 14 days × 60 s, two workers', await thousandTrips(5), 1500],
  ['a slider: the trip of a demo job', median(() => simulateWhatIf(winter, SHIPPED_CATALOGUE, { ...AS_IT_IS, sunTimes: 1.3 }), 40), 100],
  ['three drafts of a demo job', median(() => threeDrafts(winter, SHIPPED_CATALOGUE), 7), 1000],
  ['what helps, each change in 240 weathers', median(() => whatHelps(winter, SHIPPED_CATALOGUE), 3), 3000],
];
for (const [name, ms, wanted] of rows) say(`${name.padEnd(44)} ${ms.toFixed(2).padStart(8)} ms   wanted < ${wanted} ms   ${(ms / wanted).toFixed(2)} of it`);
say(`one trip, written with an object a step: ${plain.toFixed(1)} ms, ${(plain / oneTrip).toFixed(1)} times the flat loop`);
