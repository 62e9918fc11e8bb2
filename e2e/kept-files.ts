import type { Page } from 'puppeteer-core';

/** A file that the page lets the browser keep: its name, and how it begins. */
export interface Kept {
  readonly name: string;
  readonly type: string;
  readonly text: string;
}

/** From now on files are not downloaded but told. */
export const catchFiles = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const kept = globalThis as typeof globalThis & { kept: Kept[] };
    kept.kept = [];
    let last: Blob | undefined;
    const make = URL.createObjectURL.bind(URL);
    URL.createObjectURL = (file: Blob) => make((last = file));
    HTMLAnchorElement.prototype.click = function (this: HTMLAnchorElement) {
      const { download: name } = this;
      const file = last!;
      void file.arrayBuffer().then((bytes) => {
        kept.kept.push({ name, type: file.type, text: new TextDecoder('latin1').decode(bytes) });
      });
    };
  });
/** The files that were told since, as many as these. */
export const keptFiles = async (page: Page, count: number): Promise<readonly Kept[]> => {
  await page.waitForFunction((wanted) => (globalThis as unknown as { kept: Kept[] }).kept.length === wanted, {}, count);
  return page.evaluate(() => (globalThis as unknown as { kept: Kept[] }).kept);
};
