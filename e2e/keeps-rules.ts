import { readFileSync } from 'node:fs';
import { expect } from '@jest/globals';
import type { Page } from 'puppeteer-core';

const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

type Rules = { readonly type: 'tag' | 'rule'; readonly values: readonly string[] };
const ALL: Rules = { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa'] };
/** By night only the colours are others. */
const CONTRAST: Rules = { type: 'rule', values: ['color-contrast'] };

/** What the common rules of accessibility find wrong: which rule, and where. */
async function troubles(page: Page, rules: Rules): Promise<string[]> {
  return page.evaluate(async (runOnly) => {
    const { axe: checker } = window as unknown as {
      axe: {
        run: (options: object) => Promise<{ violations: { id: string; nodes: { html: string; failureSummary: string }[] }[] }>;
      };
    };
    const { violations } = await checker.run({ runOnly });
    return violations.flatMap(({ id, nodes }) =>
      nodes.map(({ html, failureSummary }) => `${id}: ${html.slice(0, 160)} — ${failureSummary.slice(0, 300)}`),
    );
  }, rules);
}

/** What is seen keeps the rules by day and by night. */
export async function keepsRules(what: string, page: Page): Promise<void> {
  // The policy of the page lets no script in; the debugger's own evaluation is not bound by it.
  await page.evaluate(axe);
  const paper = (): Promise<string> => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const byDay = await paper();
  expect([what, 'by day', await troubles(page, ALL)]).toEqual([what, 'by day', []]);
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
  expect([what, await paper()]).not.toEqual([what, byDay]);
  expect([what, 'by night', await troubles(page, CONTRAST)]).toEqual([what, 'by night', []]);
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }]);
}
