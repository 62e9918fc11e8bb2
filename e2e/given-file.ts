import type { Page } from 'puppeteer-core';
import { PATIENCE } from './application';

/**
 * Gives a file to a page that is made to ask for one. A key overtakes the order to catch the browser's dialog as long as the page is
 * busy, and a dialog that nobody sees would come: the page has to answer once before it hears of the key.
 */
export async function givenFile(page: Page, file: string, ask: () => Promise<unknown>): Promise<void> {
  const caught = page.waitForFileChooser({ timeout: PATIENCE });
  const asked = page.evaluate(() => 0).then(ask);
  const [chooser] = await Promise.all([caught, asked]);
  await chooser.accept([file]);
}
