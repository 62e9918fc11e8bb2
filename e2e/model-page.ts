import type { ElementHandle, Page } from 'puppeteer-core';
import { PATIENCE, type Application } from './application';

/** Milliseconds for which an item stands still before it counts as placed. */
const REST = 150;

/** Pixels of the window. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** Half way between two places. */
export const halfWay = (a: Place, b: Place): Place => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** A model's page as a user meets it: by names, values and places on the sheet. */
export class ModelPage {
  constructor(
    readonly application: Application,
    readonly page: Page,
  ) {}

  /** Opens the model of this title, at a place of it. */
  static async open(application: Application, title: string, place = '?stage=results'): Promise<ModelPage> {
    const page = await application.page();
    await application.visit(page, (await application.addressOf(title)) + place);
    const opened = new ModelPage(application, page);
    await opened.ready();
    await page.waitForSelector('main li > button[tabindex="0"]');
    return opened;
  }

  /** A model that comes as a file. */
  static async given(application: Application, file: object): Promise<ModelPage> {
    const page = await application.page();
    await application.visit(page, await application.made(JSON.stringify(file)));
    const model = new ModelPage(application, page);
    await model.ready();
    await page.waitForSelector('main li > button[tabindex="0"]');
    return model;
  }

  /** A new plane model with nothing in it. */
  static async empty(application: Application): Promise<ModelPage> {
    const page = await application.page();
    await application.visit(page, await application.empty());
    const model = new ModelPage(application, page);
    await model.ready();
    await model.until('hindrance', /There is no member yet/);
    return model;
  }

  /** A new plane model with a portal frame of 12 m, placed by keys and lists. */
  static async portal(application: Application): Promise<ModelPage> {
    const model = await ModelPage.empty(application);
    await model.press('Portal frame');
    await model.press('Place it');
    await model.counts(5, 4);
    await model.until('solution', /^Solved/);
    return model;
  }

  /** Where the nodes stand, as the items of the drawing say it: `across up`. */
  nodePlaces(): Promise<string[]> {
    return this.page.$$eval('main li > button[aria-label^="Node "]', (all) =>
      all.map((one) => /at ([-−\d.]+) m across, ([-−\d.]+) m up/.exec(one.getAttribute('aria-label')!)!.slice(1).join(' ')),
    );
  }

  async ready(): Promise<void> {
    await this.page.waitForSelector('[data-testid=sheet]');
    await this.until('solution', /Solved|mechanism|fault|Not ready/);
  }

  /** Presses what has this accessible name. */
  async press(name: string): Promise<void> {
    await this.page.locator(`::-p-named(${name})`).click();
  }

  /** Opens a part of a bench that is folded away. */
  async unfold(title: string): Promise<void> {
    const summary = await this.page.waitForSelector(
      `::-p-xpath(//button[@aria-expanded][starts-with(normalize-space(.), "${title}") or starts-with(@aria-label, "${title}")])`,
      {
        timeout: PATIENCE,
      },
    );
    const open = await summary!.evaluate((element) => element.getAttribute('aria-expanded') === 'true');
    if (open) return;
    // By key, since what stands above may still move it; and seen to open.
    await summary!.focus();
    await this.page.keyboard.press('Enter');
    await this.page.waitForFunction(
      (element) => element.getAttribute('aria-expanded') === 'true',
      { timeout: PATIENCE },
      summary!,
    );
  }

  /** Presses a control without the pointer: it takes the focus, and Enter. */
  async pressByKey(name: string): Promise<void> {
    const control = await this.page.waitForSelector(`::-p-named(${name})`);
    await control!.focus();
    await this.page.keyboard.press('Enter');
  }

  /** Selects an item of the drawing without the pointer, by the beginning of its spoken name: the rest of it may follow the results. */
  async selectByKey(name: string): Promise<void> {
    const item = await this.page.waitForSelector(`main li > button[aria-label^="${name} "]`);
    await item!.focus();
    await this.page.keyboard.press('Space');
    await this.card(name);
  }

  /** The button that opens the list of this label. */
  private list(label: string): Promise<ElementHandle<Element> | null> {
    const labels = `//*[not(self::button)][normalize-space(text())="${label}"]/@id`;
    return this.page.waitForSelector(`::-p-xpath(//button[@aria-haspopup="listbox"][contains(@aria-labelledby, ${labels})])`);
  }

  /** Opens the list of this label with a finger. */
  async tapList(label: string): Promise<void> {
    const button = await this.list(label);
    await button!.tap();
  }

  /** Chooses from a list without the pointer: Enter opens it, arrow keys go to the choice. */
  async chooseByKey(label: string, option: string): Promise<void> {
    const button = await this.list(label);
    await button!.focus();
    await this.page.keyboard.press('Enter');
    const stands = (): Promise<string> =>
      this.page.evaluate(() => (document.activeElement?.role === 'option' ? (document.activeElement.textContent ?? '') : ''));
    await this.page.waitForFunction(() => document.activeElement?.role === 'option');
    await this.page.keyboard.press('Home');
    for (let last = ''; (await stands()) !== option; await this.page.keyboard.press('ArrowDown')) {
      const now = await stands();
      if (now === last) throw new Error(`“${option}” is not among the choices of “${label}”; the last is “${now}”.`);
      last = now;
    }
    await this.page.keyboard.press('Enter');
    await this.page.waitForFunction((face) => face?.getAttribute('aria-expanded') !== 'true', {}, button);
  }

  /** Types into a field without the pointer. */
  async fillByKey(label: string, text: string): Promise<void> {
    const field = await this.page.waitForSelector(`::-p-named([name="${label}"][role="textbox"])`);
    await field!.focus();
    await this.typeOver(text);
  }

  /** Lets the case or combination of this title act. */
  async act(title: string): Promise<void> {
    const card = await this.page.waitForSelector(
      `::-p-xpath(//*[@aria-label="Cases and combinations"]//label[contains(., "${title}")])`,
    );
    await card!.click();
  }

  /** From the card of what is selected to the bench; the selection stays. */
  async bench(): Promise<void> {
    const back = await this.page.waitForSelector('aside button[aria-label^="Back to "]');
    await back!.click();
  }

  /** Runs a command by what is typed behind `/`. */
  async command(text: string): Promise<void> {
    const isTyping = await this.page.evaluate(() => document.activeElement instanceof HTMLInputElement);
    await (isTyping ? this.chord('/') : this.page.keyboard.press('/'));
    await this.page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Command', {
      timeout: PATIENCE,
    });
    await this.type(text);
    await this.page.keyboard.press('Enter');
    await this.heard(text);
  }

  /** Waits until the field of commands has done something with what was typed: it is left, it says more, or it tells why not. */
  private async heard(text: string): Promise<void> {
    const isHeard = (typed: string): boolean =>
      document.querySelector<HTMLInputElement>('[aria-label="Command"][role="combobox"]')?.value !== typed ||
      document.querySelector('[role="alert"]') !== null;
    try {
      await this.page.waitForFunction(isHeard, { timeout: PATIENCE, polling: 50 }, text);
    } catch {
      const field = await this.page.evaluate(
        () =>
          `${document.querySelector('[aria-label="Command"]')?.outerHTML}; the keyboard: ${document.activeElement?.outerHTML}; offered: ${[...document.querySelectorAll('[role="option"]')].map((option) => option.textContent).join(', ')}`,
      );
      throw new Error(`Enter did nothing with “${text}”: ${field}`);
    }
  }

  /**
   * Types into the field that has the keyboard: the first character by its key, the rest in one go. A page that is drawn anew after each of
   * them takes a fifth of all the time that a journey costs.
   */
  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text.slice(0, 1));
    if (text.length > 1) await this.page.keyboard.sendCharacter(text.slice(1));
  }

  /** Goes to a stage of the work, by its tab. */
  async stage(name: string): Promise<void> {
    await this.page.locator(`[aria-label="Stages"] [aria-label^="${name}: "]`).click();
  }

  /** Drags from one place of the window to another. */
  async drag(from: Place, to: Place): Promise<void> {
    const { mouse } = this.page;
    await mouse.move(from.x, from.y);
    await mouse.down();
    await mouse.move(to.x, to.y, { steps: 4 });
    await mouse.up();
  }

  /** Waits until something is selected, as the card says. */
  async card(title: string): Promise<void> {
    await this.page.waitForSelector(`aside[aria-label="${title}"]`);
  }

  /** The page's own place of the sheet's upper left corner. */
  sheet(): Promise<{ x: number; y: number }> {
    return this.page.$eval('[data-testid=sheet]', (canvas) => ({
      x: canvas.getBoundingClientRect().x,
      y: canvas.getBoundingClientRect().y,
    }));
  }

  /** How many nodes and members the stage of geometry counts. */
  async counts(nodes: number, members: number): Promise<void> {
    const words = `${nodes} node${nodes === 1 ? '' : 's'}, ${members} member${members === 1 ? '' : 's'},`;
    await this.page.waitForSelector(`[aria-label="Stages"] [aria-label*=": ${words}"]`, { timeout: PATIENCE });
  }

  /** Waits until the drawing has found its place after a selection came or went: nothing on it moves for ten frames. */
  async settled(): Promise<void> {
    await this.page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          let [before, still] = ['', 0];
          const look = (): void => {
            const places = Array.from(document.querySelectorAll('main li > button'), (item) => item.getBoundingClientRect());
            const now = JSON.stringify(places);
            still = now === before ? still + 1 : 0;
            before = now;
            if (still === 10) resolve();
            else requestAnimationFrame(look);
          };
          look();
        }),
    );
  }

  text(testId: string): Promise<string> {
    return this.page.$eval(`[data-testid=${testId}]`, (element) => element.textContent ?? '');
  }

  /** Waits until a marked place of the page reads like this, and returns what it reads. */
  async until(testId: string, pattern: RegExp): Promise<string> {
    await this.page.waitForFunction(
      (id: string, source: string) => new RegExp(source).test(document.querySelector(`[data-testid=${id}]`)?.textContent ?? ''),
      { timeout: PATIENCE },
      testId,
      pattern.source,
    );
    return this.text(testId);
  }

  stored(): Promise<string> {
    return this.until('storage', /^Stored$/);
  }

  /** The model as its file has it, when all is stored; as much of it as a journey reads. */
  async file<Stored>(): Promise<Stored> {
    await this.stored();
    return this.page.evaluate(async () => (await fetch(`/api${location.pathname}/file`)).json() as Promise<never>);
  }

  /** Where an item of the drawing stands, by the beginning of its spoken name; page pixels. */
  async place(name: string): Promise<{ x: number; y: number }> {
    const item = await this.page.waitForSelector(`main li > button[aria-label^="${name}"]`);
    return item!.evaluate(async (element, rest) => {
      const place = (): { x: number; y: number } => {
        const box = element.getBoundingClientRect();
        return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
      };
      // Until the drawing has found its place: the items follow it when it rests.
      let [last, since] = [place(), performance.now()];
      while (performance.now() - since < rest) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        const now = place();
        const isAtRest = now.x === last.x && now.y === last.y && element.closest('ul')?.getAttribute('aria-busy') !== 'true';
        if (!isAtRest) [last, since] = [now, performance.now()];
      }
      return last;
    }, REST);
  }

  /** Goes over the sheet from one point to another until the cursor shows a text that can be typed over, and clicks it. */
  async clickText(from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
    const steps = 60;
    for (let i = 0; i <= steps; i++) {
      const [x, y] = [from.x + ((to.x - from.x) * i) / steps, from.y + ((to.y - from.y) * i) / steps];
      await this.page.mouse.move(x, y);
      if ((await this.page.$eval('[data-testid=sheet]', (canvas) => (canvas as HTMLElement).style.cursor)) !== 'text') continue;
      await this.page.mouse.click(x, y);
      return;
    }
    throw new Error('No text to type over was found on the sheet there.');
  }

  /** Types over the field that has the focus, and takes it. */
  async typeOver(text: string): Promise<void> {
    await this.page.waitForFunction(() => document.activeElement instanceof HTMLInputElement);
    await this.chord('a');
    await this.type(text);
    await this.page.keyboard.press('Enter');
  }

  /** Fills a labelled field of a bench or card. */
  async fill(label: string, text: string): Promise<void> {
    await this.page.locator(`::-p-named([name="${label}"][role="textbox"])`).click();
    await this.typeOver(text);
  }

  /** Chooses from a list by its label. */
  async choose(label: string, option: string): Promise<void> {
    const button = await this.list(label);
    await button!.click();
    await this.page.locator(`::-p-named([name="${option}"][role="option"])`).click();
  }

  async undo(): Promise<void> {
    await this.chord('z');
  }

  async redo(): Promise<void> {
    await this.page.keyboard.down('Shift');
    await this.chord('Z');
    await this.page.keyboard.up('Shift');
  }

  /** A key with Control. */
  async chord(key: 'a' | 'z' | 'Z' | '/'): Promise<void> {
    await this.page.keyboard.down('Control');
    await this.page.keyboard.press(key);
    await this.page.keyboard.up('Control');
  }
}
