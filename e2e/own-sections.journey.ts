import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly sections: readonly {
    readonly id: string;
    readonly shape?: { readonly parts?: readonly { readonly at?: readonly number[] }[] };
  }[];
  readonly supports: readonly { readonly node: string; readonly axes?: unknown }[];
  readonly members: readonly { readonly id: string; readonly section: string; readonly roll?: number; readonly start: string }[];
}

const until = (model: ModelPage, words: RegExp): Promise<unknown> =>
  model.page.waitForFunction((source: string) => new RegExp(source).test(document.body.innerText), {}, words.source);

test('a section is built of plates and a standard shape, made a pair, and told by its mesh; what overlaps is said', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  await rib.press('Built of parts');
  await (await rib.page.waitForSelector('button[aria-label^="built-of-parts, "]'))!.click();
  await rib.press('Standard shape');
  await until(rib, /Part 3 · UPN 200/);
  await rib.press('Make it a pair');
  await until(rib, /Part 6/);
  const shape = (await rib.file<Stored>()).sections.at(-1)!.shape!;
  expect(shape.parts).toHaveLength(6);
  expect(shape.parts![3]!.at![0]).toBeCloseTo(-shape.parts![0]!.at![0]!, 12);
  await rib.unfold('Torsion, warping, shear centre');
  await until(rib, /Finite elements: [\d,]+ triangles.*digits? of J[\s\S]*|In several pieces/);
  // Its third part is moved into the first.
  await rib.press('Part 3 · UPN 200');
  await rib.fill('Right (mm)', '65');
  await until(rib, /parts \d and \d overlap/);
  await rib.press('Undo: Set section built-of-parts');
  await rib.until('solution', /^Solved/);
  await rib.stored();
});

test('“2 I” on a member’s card is a relative section, and stands so on the sheet', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  await rib.selectByKey('Member a');
  await rib.page.locator('::-p-named([name="Standard shapes"][role="textbox"])').click();
  await rib.page.keyboard.type('2 I');
  await until(rib, /2I, relative, for this member/);
  await rib.page.keyboard.press('Enter');
  await rib.page.waitForSelector('[aria-label="Undo: 2I for 1 member"]');
  const model = await rib.file<Stored>();
  expect(model.sections.at(-1)).toEqual({ id: '2I', relative: { I: 2 } });
  expect(model.members[0]!.section).toBe('2I');
});

test('a hinge that would let the structure fold is shown before it is kept, and left', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=geometry');
  for (const [member, node] of [['i', '9'], ['c', '3']] as const) {
    await rib.selectByKey(`Member ${member}`);
    await rib.press(`Hinge at node ${node}`);
    if (node === '9') await rib.page.waitForSelector('[aria-label="Undo: Change how the member ends at node 9"]');
  }
  await rib.until('hindrance', /^Not kept yet: Change how the member ends at node 3.*This would stop it/);
  await rib.press('Leave as it was');
  await rib.until('solution', /^Solved/);
  expect(await rib.page.$('[aria-label="Undo: Change how the member ends at node 9"]')).not.toBeNull();
  await rib.press('Hinge at node 3');
  await rib.until('hindrance', /^Not kept yet/);
  await rib.press('Keep it');
  await rib.page.waitForSelector('[aria-label="Undo: Change how the member ends at node 3"]');
  expect(await rib.text('hindrance')).not.toMatch(/Not kept/);
  // The next journey finds a rib that stands.
  await rib.undo();
  await rib.until('solution', /^Solved/);
  await rib.stored();
}); // oxfmt-ignore

test('in space a section is turned by keys and mirrored, and bodies show how it stands', async () => {
  const walk = await ModelPage.open(application, 'Canopy walk', '?stage=sections');
  const picture = (): Promise<string> =>
    walk.page.$eval('[data-testid=sheet]', (canvas) => (canvas as HTMLCanvasElement).toDataURL());
  const lines = await picture();
  await walk.press('Also show ▾');
  await walk.press('Solid bodies');
  await walk.page.keyboard.press('Escape');
  await walk.page.waitForFunction((before: string) => (document.querySelector('[data-testid=sheet]') as HTMLCanvasElement).toDataURL() !== before, {}, lines); // oxfmt-ignore
  expect(new URL(walk.page.url()).searchParams.get('show')).toMatch(/solids/);
  const [member] = (await walk.file<Stored>()).members;
  await walk.selectByKey(`Member ${member!.id}`);
  const dial = await walk.page.waitForSelector('[role=slider][aria-valuetext="0°"]');
  await dial!.evaluate((one) => (one as unknown as SVGElement).focus());
  await walk.page.keyboard.press('ArrowRight');
  await walk.page.waitForSelector('[role=slider][aria-valuetext="15°"]');
  expect((await walk.file<Stored>()).members[0]!.roll).toBe(15);
  await walk.press('Mirror left to right');
  await walk.page.waitForSelector(`[aria-label="Undo: Mirror member ${member!.id}"]`);
  expect((await walk.file<Stored>()).members[0]).toMatchObject({ roll: -15 });
  // It begins at the origin and runs along X: towards a place straight above, local z looks up.
  await walk.press('Open towards…');
  await walk.page.keyboard.type('0 by 4 by 0');
  await walk.page.keyboard.press('Enter');
  await walk.page.waitForSelector('[aria-label="Undo: Open towards a place"]');
  expect((await walk.file<Stored>()).members[0]).toMatchObject({ roll: -90 });
  // On its own axis there is no way to open: that is said, and nothing is changed.
  await walk.press('Open towards…');
  await walk.page.keyboard.type('9 by 0 by 0');
  await walk.page.keyboard.press('Enter');
  await until(walk, /That place lies on the axis/);
  expect((await walk.file<Stored>()).members[0]).toMatchObject({ roll: -90 });
});

test('in space a support is turned along a member, and its movement is said along its own axes', async () => {
  const walk = await ModelPage.open(application, 'Canopy walk', '?stage=supports&acting=G');
  await walk.command('select node n0');
  await walk.choose('Restrained along', 'member c0');
  await walk.page.waitForSelector('[aria-label^="Undo: "]');
  const turned = (await walk.file<Stored>()).supports.find(({ node }) => node === 'n0')!;
  expect(turned.axes).toEqual({ x: [0, 0, 1], y: [0, 1, 0] });
  await walk.page.waitForSelector('::-p-named([name="Settlement along y in G (mm)"][role="textbox"])');
  await walk.choose('Restrained along', 'the global axes');
  await walk.page.waitForSelector('::-p-named([name="Settlement along Y in G (mm)"][role="textbox"])');
  expect((await walk.file<Stored>()).supports.find(({ node }) => node === 'n0')).not.toHaveProperty('axes');
});

test('stresses over a section, at the point of it that is asked for', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U2');
  await rib.selectByKey('Member c');
  await rib.unfold('Stress in the section');
  await rib.page.waitForSelector('[aria-label^="σ over the section: from "]');
  await rib.fill('From the start (m)', '0.6');
  await rib.fill('Right of the centroid (mm)', '0');
  // Sagging: compression above, tension below.
  await rib.fill('Above the centroid (mm)', '80');
  await until(rib, /σ\s−\d[\d.]*\sMPa\s·\sτy/);
  await rib.fill('Above the centroid (mm)', '-80');
  await until(rib, /σ\s\d[\d.]*\sMPa\s·\sτy/);
  await rib.fill('Above the centroid (mm)', '90');
  await until(rib, /That place lies outside the section/);
});

test('no page complained', () => expect(application.complaints).toEqual([]));
