import type { Application } from './application';
import { ModelPage } from './model-page';

/** The lintel of the demo, where its hanging baskets act. */
export async function openLintel(application: Application): Promise<ModelPage> {
  const page = await ModelPage.open(application, 'Lintel over the potting bench');
  await page.act('Hanging baskets');
  return page;
}

/** Changes the force at the tip of the overhang. */
export async function setForce(page: ModelPage, text: string): Promise<void> {
  await page.page.waitForSelector('main li > button[tabindex="0"]');
  await page.page.focus('main li > button[tabindex="0"]');
  await page.page.keyboard.press('End');
  await page.page.keyboard.press('Enter');
  await page.typeOver(text);
}
