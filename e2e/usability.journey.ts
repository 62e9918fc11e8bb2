import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** A model page that counts what a user does: a click, a choice from a list, a value typed, a command given is one action each. */
class Counted {
  actions = 0;
  constructor(readonly model: ModelPage) {}
  async choose(label: string, option: string): Promise<void> {
    this.actions++;
    await this.model.choose(label, option);
  }
  async fill(label: string, text: string): Promise<void> {
    this.actions++;
    await this.model.fill(label, text);
  }
  async press(name: string): Promise<void> {
    this.actions++;
    await this.model.press(name);
  }
  async command(text: string): Promise<void> {
    this.actions++;
    await this.model.command(text);
  }
}

const emptySheet = async (): Promise<Counted> => new Counted(await ModelPage.empty(application));

/** Says a load and puts it on the group's members; three actions and one for the stage. */
async function load(user: Counted, group: string, members: number, intensity: string): Promise<void> {
  await user.command(`select group ${group}`);
  await user.command('go to loads');
  await user.fill('What acts', `${intensity} down`);
  await user.press(`Put it on the ${members} selected members`);
}

test('a first-time user: from an empty sheet to the diagrams of a loaded portal, in 8 actions at most', async () => {
  const user = await emptySheet();
  const { page } = user.model;
  await user.press('Portal frame');
  await user.press('Place it');
  await user.press('Loads: 0 loads, nothing yet');
  await user.press('Line load');
  const [eaves, apex] = [await user.model.place('Node 2 '), await user.model.place('Node 5 ')];
  await page.mouse.click((eaves.x * 2 + apex.x) / 3, (eaves.y * 2 + apex.y) / 3);
  user.actions++;
  await user.press('Results: solved, in order');
  await user.model.until('extremes', /kN·m in \w+/);
  expect(user.actions).toBe(6);
});

describe('from an empty sheet to supported and loaded: actions as docs/usability.md counts them', () => {
  test('a truss of 17.5 m and 7 panels', async () => {
    const user = await emptySheet();
    await user.press('Truss');
    await user.fill('Span (m)', '17.5');
    await user.fill('Panels', '7');
    await user.press('Place it');
    await user.model.counts(16, 29);
    await load(user, 'top chord', 7, '6 kN/m');
    await user.model.until('solution', /^Solved.*in balance/);
    // qL²/8 over the height of 1.5 m is 153 kN, and there is the weight of the truss.
    await user.model.command('go to results');
    await user.model.press('Axial force');
    await user.model.until('extremes', /^T 1\d\d(\.\d+)? kN in/);
    expect(user.actions).toBeLessThanOrEqual(12);
    expect(user.actions).toBe(8);
  });

  test('a continuous beam of three spans', async () => {
    const user = await emptySheet();
    await user.press('Continuous beam');
    await user.fill('Spans (m)', '2×5.4 + 3.6');
    await user.press('Place it');
    await load(user, 'beam', 3, '12 kN/m');
    await user.model.until('solution', /^Solved.*in balance/);
    expect(user.actions).toBe(7);
  });

  test('a pitched portal of two bays', async () => {
    const user = await emptySheet();
    await user.press('Portal frame');
    await user.fill('Bays (m)', '2×9');
    await user.choose('Column feet', 'fixed');
    await user.press('Place it');
    await load(user, 'rafters', 4, '4 kN/m');
    await user.model.until('solution', /^Solved.*in balance/);
    expect(user.actions).toBe(8);
  });

  test('a frame of four storeys', async () => {
    const user = await emptySheet();
    await user.press('Multi-storey frame');
    await user.fill('Storey heights (m)', '4 + 3×3.2');
    await user.press('Place it');
    await load(user, 'beams', 12, '20 kN/m');
    await user.model.until('solution', /^Solved.*in balance/);
    expect(user.actions).toBe(7);
  });

  test('a hall of four frames in space, from one portal', async () => {
    const user = await emptySheet();
    await user.press('Portal frame');
    await user.press('Place it');
    await user.command('make it a space model clamped');
    await user.command('select everything');
    await user.command('repeat 3 times 0 by 0 by -5 linked');
    await user.model.counts(20, 25);
    await load(user, 'rafters', 8, '4 kN/m');
    await user.model.until('solution', /^Solved.*in balance/);
    expect(user.actions).toBe(9);
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
