import allowable from './data/asce7-allowable.json';
import strength from './data/asce7-strength.json';
import en1990 from './data/en1990-6.10.json';
import en1990ab from './data/en1990-6.10ab.json';
import { readRules } from './read-rules';
import type { RuleSet } from './rule-set';

/** The sets that come with the application: a new one is a file in `data/` and stands here, after those that it is like. */
const files: readonly unknown[] = [en1990, en1990ab, strength, allowable];

function readAll(): readonly RuleSet[] {
  const all: RuleSet[] = [];
  for (const file of files) {
    const { rules, notices } = readRules(file, all);
    if (!rules) throw new Error(notices.map(({ message }) => message).join(' '));
    all.push(rules);
  }
  return all;
}

export const publishedRules = readAll();
