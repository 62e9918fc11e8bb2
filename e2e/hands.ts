import type { ModelPage } from './model-page';

/** One way to work: what a journey does once by pointer and once by keys alone. */
export interface Hands {
  press(name: string): Promise<void>;
  fill(label: string, text: string): Promise<void>;
  choose(label: string, option: string): Promise<void>;
  stage(name: string): Promise<void>;
  /** Uses what is in hand on an item of the drawing, told by the beginning of its name. */
  use(item: string): Promise<void>;
  /** Chooses from a menu that a button opens. */
  pick(button: string, choice: string): Promise<void>;
}

export const byPointer = (model: ModelPage): Hands => ({
  press: (name) => model.press(name),
  fill: (label, text) => model.fill(label, text),
  choose: (label, option) => model.choose(label, option),
  stage: (name) => model.stage(name),
  use: async (item) => {
    const { x, y } = await model.place(item);
    await model.page.mouse.click(x, y);
  },
  pick: async (button, choice) => {
    await model.press(button);
    await model.press(choice);
  },
});

export const byKeys = (model: ModelPage): Hands => ({
  press: (name) => model.pressByKey(name),
  fill: (label, text) => model.fillByKey(label, text),
  choose: (label, option) => model.chooseByKey(label, option),
  stage: (name) => model.command(`go to ${name}`),
  use: async (item) => {
    await focusItem(model, item);
    await model.page.keyboard.press('Enter');
  },
  pick: async (button, choice) => {
    await model.pressByKey(button);
    await model.page.waitForSelector('[role=menuitem]');
    await model.page.keyboard.type(choice.slice(0, 4));
    await model.page.keyboard.press('Enter');
  },
});

/** With a finger; what is written is written on a keyboard that the screen brings. */
export const byTouch = (model: ModelPage): Hands => {
  const tap = async (selector: string): Promise<void> => {
    const one = await model.page.waitForSelector(selector);
    await one!.scrollIntoView();
    await one!.tap();
  };
  return {
    press: (name) => tap(`::-p-named(${name})`),
    fill: async (label, text) => {
      await tap(`::-p-named([name="${label}"][role="textbox"])`);
      await model.typeOver(text);
    },
    choose: async (label, option) => {
      await model.tapList(label);
      await tap(`::-p-named([name="${option}"][role="option"])`);
    },
    stage: (name) => tap(`[aria-label="Stages"] [aria-label^="${name}: "]`),
    use: async (item) => {
      const { x, y } = await model.place(item);
      await model.page.touchscreen.tap(x, y);
    },
    pick: async (button, choice) => {
      await tap(`::-p-named(${button})`);
      await tap(`::-p-named(${choice})`);
    },
  };
};

/** From item to item of the drawing by arrow keys, as far as need be. */
async function focusItem({ page }: ModelPage, name: string): Promise<void> {
  await page.waitForSelector(`main li > button[aria-label^="${name}"]`);
  await page.focus('main li > button[tabindex="0"]');
  await page.keyboard.press('Home');
  const focused = (): Promise<string> => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
  for (let last = ''; !(await focused()).startsWith(name); await page.keyboard.press('ArrowRight')) {
    const now = await focused();
    if (now === last) throw new Error(`Arrow keys never came to “${name}”; the last item is “${now}”.`);
    last = now;
  }
}
