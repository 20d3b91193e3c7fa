import { sentence } from '../quantity/index.js';
import { RULES } from './all.js';
import type { Facts, Finding, Rule } from './rule.js';

const BY_ID: ReadonlyMap<string, Rule> = new Map(RULES.map((r) => [r.id, r]));

/** What all rules find, the stops first. */
export function judge(facts: Facts): Finding[] {
  const found = RULES.flatMap((rule) =>
    rule.test(facts).map((f, i): Finding => {
      const about = f.at.about ?? (i ? String(i) : 'all');
      const what = typeof f.values['what'] === 'string' ? `:${f.values['what']}` : '';
      return { key: `${rule.id}:${about}${what}`, rule: rule.id, severity: f.severity ?? rule.severity, at: f.at, values: f.values, presses: rule.presses?.(f, facts) ?? [] };
    }),
  );
  return [...found.filter((f) => f.severity === 'stop'), ...found.filter((f) => f.severity === 'look')];
}

/** A finding in words. */
export interface FindingWords {
  readonly say: string;
  readonly why: string;
  readonly basis: string;
  readonly fix: string;
}

/** Renders a finding's words from its rule. */
export function inWords(finding: Finding): FindingWords {
  const rule = BY_ID.get(finding.rule)!;
  return { say: sentence(rule.say(finding.values)), why: rule.why, basis: rule.basis, fix: rule.fix(finding.values) };
}
