import { answer, assess, inWords, orderCsv, QUESTIONS, readDesign, SHIPPED_CATALOGUE, type Question } from '@meridex/core';

/** What the command prints, and how it ends: 0 answered, 2 bad input. */
export interface Outcome {
  readonly code: 0 | 2;
  readonly out: string;
  readonly err: string;
}

const USAGE = `meridex ${[...QUESTIONS, 'assess', 'order'].join('|')} FILE   (- reads standard input)`;

const bad = (message: string): Outcome => ({ code: 2, out: '', err: `meridex: ${message}\n` });
const good = (result: unknown): Outcome => ({ code: 0, out: `${JSON.stringify(result, null, 1)}\n`, err: '' });

interface CaseLike {
  readonly name?: string;
  readonly formula?: string;
  readonly input?: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

function ask(question: Question, document: unknown): Outcome {
  if (!isObject(document)) return bad(`input: got ${JSON.stringify(document)?.slice(0, 40) ?? 'nothing'}; an object is accepted`);
  const cases = document['cases'];
  if (cases === undefined) {
    const one = answer(question, document['input'] ?? document, document['formula'] as string | undefined);
    return one.ok ? good(one.result) : bad(one.message);
  }
  if (!Array.isArray(cases)) return bad('cases: an array of cases is accepted');
  const results: unknown[] = [];
  for (const [i, c] of (cases as CaseLike[]).entries()) {
    const one = answer(question, c?.input ?? c, c?.formula);
    if (!one.ok) return bad(`cases.${i}.${one.message}`);
    results.push({ name: c?.name ?? String(i), result: one.result });
  }
  return good(results);
}

function onJob(command: 'assess' | 'order', document: unknown): Outcome {
  const read = readDesign(isObject(document) && 'design' in document ? document['design'] : document);
  if (!read.ok) return bad(read.message);
  const a = assess(read.design, SHIPPED_CATALOGUE);
  if (command === 'order') return { code: 0, out: orderCsv(a.order), err: '' };
  return good({
    tellTales: a.tellTales,
    runs: a.runs.map((r) => (r.ok ? { run: r.spec.name, ...r.figures, below: undefined, window: undefined } : { run: r.spec.name, error: r.error })),
    findings: a.open.map((f) => ({ ...f, ...inWords(f) })),
  });
}

/** Runs one command on the text of a file. */
export function run(command: string | undefined, text: string): Outcome {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return bad(`input: not JSON (${(error as Error).message.split('\n')[0]})`);
  }
  if (QUESTIONS.includes(command as Question)) return ask(command as Question, document);
  if (command === 'assess' || command === 'order') return onJob(command, document);
  return bad(`command: got ${command ?? 'nothing'}; usage: ${USAGE}`);
}

export { USAGE };
