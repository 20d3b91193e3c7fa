import { sentence } from '../quantity/index.js';
import { RULES } from './all.js';
import { joinedRules } from './joined/index.js';
import type { JoinedFacts } from './joined/joint.js';
import type { Facts, Finding, Harm, Rule, RuleOf } from './rule.js';

/** Rules about what joins vehicles of a job. */
export const JOINED_RULES = joinedRules(({ finding }) => inWords(finding));

const BY_ID: ReadonlyMap<string, Pick<Rule, 'say' | 'fix' | 'why' | 'basis' | 'harm'>> = new Map([...RULES, ...JOINED_RULES].map((r) => [r.id, r]));

function findings<F>(rules: readonly RuleOf<F>[], facts: F): Finding[] {
  return rules.flatMap((rule) =>
    rule.test(facts).map((f, i): Finding => {
      const about = f.at.about ?? (i ? String(i) : 'all');
      const what = typeof f.values['what'] === 'string' ? `:${f.values['what']}` : '';
      return { key: `${rule.id}:${about}${what}`, rule: rule.id, severity: f.severity ?? rule.severity, at: f.at, values: f.values, presses: rule.presses?.(f, facts) ?? [] };
    }),
  );
}

/** Findings, the stops first. */
export const stopsFirst = (found: readonly Finding[]): Finding[] => [...found.filter((f) => f.severity === 'stop'), ...found.filter((f) => f.severity === 'look')];

/** What all rules about one vehicle find, the stops first. */
export const judge = (facts: Facts): Finding[] => stopsFirst(findings(RULES, facts));

/** What the rules about several vehicles find for one of them. */
export const judgeJoined = (facts: JoinedFacts): Finding[] => findings<JoinedFacts>(JOINED_RULES, facts);

/** A finding in words. */
export interface FindingWords {
  readonly say: string;
  readonly harm: Harm;
  readonly why: string;
  readonly basis: string;
  readonly fix: string;
}

/** Renders a finding's words from its rule. */
export function inWords(finding: Finding): FindingWords {
  const rule = BY_ID.get(finding.rule)!;
  return { say: sentence(rule.say(finding.values)), harm: rule.harm, why: rule.why, basis: rule.basis, fix: rule.fix(finding.values) };
}
