import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { launch } from 'puppeteer-core';
import { browserFlags, findBrowser, NO_BROWSER } from './browser.mjs';
import { startServer } from './server.mjs';
import { build, install, root } from './steps.mjs';

// `npm run screenshots`: one picture of each main view from the demo data, 1280 × 800, into docs/screenshots.

const PORT = 3219;
const folder = path.join(root, 'docs', 'screenshots');
const executablePath = findBrowser();
if (executablePath === undefined) throw new Error(NO_BROWSER);
install();
build();
mkdirSync(folder, { recursive: true });
const data = mkdtempSync(path.join(tmpdir(), 'rigid-beam-data-'));
const profile = mkdtempSync(path.join(tmpdir(), 'rigid-beam-profile-'));
const server = await startServer(PORT, { RIGID_BEAM_DATA: data });
const browser = await launch({ executablePath, headless: true, userDataDir: profile, args: browserFlags });
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });
// A motion that nothing resists is taken at rest, where it goes.
await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
const only = process.argv[2];

const address = `http://127.0.0.1:${PORT}`;
const settle = () => new Promise((resolve) => setTimeout(resolve, 600));
await page.goto(address, { waitUntil: 'networkidle0' });
const models = Object.fromEntries(
  await page.$$eval('li a', (links) => links.map((link) => [link.querySelector('h3').textContent, link.getAttribute('href')])),
);

const place = (name) =>
  page.$eval(`main li > button[aria-label^="${name}"]`, (item) => ({
    x: item.getBoundingClientRect().x + 13,
    y: item.getBoundingClientRect().y + 13,
  }));

async function command(text) {
  await page.keyboard.press('/');
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  await settle();
}

/** A sketch of the potting shed, as it came on paper. */
const SHED = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="400" viewBox="0 0 800 400">
  <g fill="none" stroke="#333" stroke-width="3">
    <path d="M60 340V150L400 40L740 150V340"/><path d="M60 150H740" stroke-dasharray="12 6"/><path d="M20 340H780"/>
  </g>
  <g font-family="sans-serif" font-size="22" fill="#333"><text x="350" y="385">potting shed, 8.50</text></g>
</svg>`;

/** `edits`: so many changes of the model are taken back afterwards, since they would stand in the pictures behind it. */
async function take(name, url, prepare = async () => {}, edits = 0) {
  if (only && !name.includes(only)) return;
  await page.goto(address + url, { waitUntil: 'networkidle0' });
  await settle();
  await prepare();
  await settle();
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
  console.log(`${name}.png`);
  for (let i = 0; i < edits; i++) {
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await settle();
  }
}

const rib = models['Glasshouse rib'];
const lintel = models['Lintel over the potting bench'];
await take('projects', '/');
await take('moment', `${rib}?stage=results&acting=U2`);
await take('geometry', `${rib}?stage=geometry`);
await take('sections', `${rib}?stage=sections`, async () => {
  await page.locator('::-p-aria([name="Standard shapes"][role="searchbox"])').click();
  await page.keyboard.type('I > 800 cm4, mass < 20 kg/m');
  await page.waitForSelector('[role=option]');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
});
await take('supports', `${lintel}?stage=supports&acting=C3`);
await take('windward', `${rib}?stage=loads&acting=W`, async () => {
  await page.locator('::-p-aria(Line load)').click();
  const [from, to] = [await place('Node 3 '), await place('Node 4 ')];
  await page.mouse.move((from.x + to.x) / 2 - 8, (from.y + to.y) / 2);
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 3 });
});
const combine = async () => {
  await page.locator('::-p-aria(EN 1990 · 6.10: EN 1990:2002+A1:2005, recommended values for buildings)').click();
  await page.locator('::-p-xpath(//button[starts-with(., "Take all ")])').click();
  await page.locator('::-p-xpath(//button[starts-with(@aria-label, "Let U4 act")])').click();
};
await take('combination', `${rib}?stage=combinations&acting=U2`, combine, 1);
await take('study', `${rib}?stage=results&acting=U1`, async () => {
  await command('open the parameters');
  await page.locator('::-p-aria([name="Study"])').click();
  await page.waitForSelector('button[aria-label="Set span to 12 m"]');
});
await take('influence', `${lintel}?stage=results&acting=C3`, async () => {
  await page.locator('::-p-xpath(//button[contains(@aria-label, "Influence line of the bending moment")])').click();
  await settle();
  await page.locator('::-p-aria([name="New train, from the front"][role="textbox"])').click();
  await page.keyboard.type('3 kN + 2 × 9 kN at 1.2 m after 1.2 to 3 m with 2 kN/m');
  await page.keyboard.press('Enter');
  await settle();
  await page.locator('::-p-aria([name="Show T1 where it is greatest"][role="button"])').click();
});
await take('member', `${lintel}?stage=results&acting=C3&quantity=Mz`, async () => {
  const [left, right] = [await place('Node 2 '), await place('Node 3 ')];
  await page.mouse.click(left.x + 0.3 * (right.x - left.x), left.y);
  await settle();
  await page.locator('::-p-aria(Read all its diagrams)').click();
});
await take(
  'envelope',
  `${rib}?stage=results&acting=U2&beside=right&panes=3&beside-acting=U&beside2-acting=U1&beside3-acting=U1&beside3-less=first`,
);
await take('paper', `${rib}?stage=results&acting=U1&quantity=Mz`, async () => {
  await command('put on paper');
  for (let i = 0; i < 2; i++) {
    await page.locator('::-p-xpath(//button[. = "Add the sheet"])').click();
    if (i === 0) await page.locator('::-p-aria([name="As on the screen"])').click();
    await settle();
  }
  await page.waitForSelector('img[data-going="false"]');
});
await take('report', `${rib}?stage=results&acting=U1&quantity=Mz`, async () => {
  await command('put on paper');
  await page.locator('::-p-aria([name="Report"])').click();
  await page.waitForSelector('img[alt^="Page 1 of "][data-going="false"]');
  await page.locator('::-p-xpath(//*[@role="row"][contains(., "Results")])').click();
  await page.waitForSelector('img[alt^="Page "][data-going="false"]:not([alt^="Page 1 of "])');
});
const loosen = () => page.locator('::-p-aria(Remove the support of node 1)').click();
await take('mechanism', `${lintel}?stage=supports&acting=G`, loosen, 1);
const walk = models['Canopy walk, first span'];
await take('solid', `${walk}?stage=combinations&acting=U1&show=solids,deflected,-loads`, async () => {
  await page.waitForFunction(() => performance.getEntriesByName('solid picture').length > 0);
});
await take('schedule', `${rib}?stage=geometry`, async () => {
  await command('select node 3, 4, 5');
  await command('open the schedule of nodes');
  await page.focus('[role=grid]');
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowRight']) await page.keyboard.press(key);
});
await take('underlay', '', async () => {
  await page.locator('::-p-aria(New plane model)').click();
  await page.waitForSelector('[data-testid=sheet]');
  await settle();
  const plan = path.join(profile, 'shed.svg');
  writeFileSync(plan, SHED);
  const [chooser] = await Promise.all([page.waitForFileChooser(), page.locator('::-p-aria(Trace a plan)').click()]);
  await chooser.accept([plan]);
  // Once the picture stands, a tool that asks for its scale is in hand: another is taken after that.
  await page.waitForSelector('[aria-label="Underlay: shed.svg"]');
  await settle();
  await page.locator('::-p-aria(Draw)').click();
  await page.mouse.move(900, 320);
  for (const way of ['1.5 by 1.5', 'to 1.5 by 6.25', 'to 10 by 9']) {
    await page.keyboard.type(way.charAt(0));
    await settle();
    await page.keyboard.type(way.slice(1));
    await page.keyboard.press('Enter');
    await settle();
  }
  // The pointer meets a corner of the picture; the first move only begins to look for its lines.
  await page.mouse.move(1130, 300, { steps: 4 });
  await settle();
  await page.mouse.move(1147, 318, { steps: 4 });
});
// What is changed for it would stand in the pictures behind it.
await take('workings', `${lintel}?stage=geometry&acting=Q1`, async () => {
  await page.locator('::-p-xpath(//button[normalize-space()="Units"])').click();
  await page.locator('::-p-xpath(//button[contains(., "Included")])').click();
  await page.locator('::-p-xpath(//*[@role="option"][contains(., "lengths kept")])').click();
  await settle();
  await page.goto(`${address}${lintel}?stage=results&acting=Q1`, { waitUntil: 'networkidle0' });
  await settle();
  await command('show how it comes about');
  await page.locator('section[aria-label^="How "] tbody tr:nth-child(2)').hover();
});
await take('night', `${rib}?stage=results&acting=U2&quantity=Mz`, async () => {
  await command('shake by an earthquake 1, C, 2, 1.5');
  await page.locator('::-p-aria(Change between day and night)').click();
});

await browser.close();
server.child.kill('SIGTERM');
await server.exited;
rmSync(data, { recursive: true, force: true });
rmSync(profile, { recursive: true, force: true });
