import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
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

async function take(name, url, prepare = async () => {}) {
  if (only && !name.includes(only)) return;
  await page.goto(address + url, { waitUntil: 'networkidle0' });
  await settle();
  await prepare();
  await settle();
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
  console.log(`${name}.png`);
}

const rib = models['Glasshouse rib'];
const lintel = models['Lintel over the potting bench'];
await take('projects', '/');
await take('moment', `${rib}?stage=results&acting=W&quantity=Mz`);
await take('axial', `${rib}?stage=geometry&acting=S&quantity=N`);
await take('loads', `${lintel}?stage=loads&acting=Q2&quantity=Vy`, async () => {
  const [left, right] = [await place('Node 2 '), await place('Node 3 ')];
  for (let y = left.y - 90; y < left.y; y += 2) {
    await page.mouse.move((left.x + right.x) / 2, y);
    if ((await page.$eval('[data-testid=sheet]', (canvas) => canvas.style.cursor)) === 'text') break;
  }
  await page.mouse.down();
  await page.mouse.up();
  await settle();
  await page.keyboard.type('15 kN/m');
});
await take('member', `${lintel}?stage=sections&acting=C3&quantity=Mz`, async () => {
  const [left, right] = [await place('Node 2 '), await place('Node 3 ')];
  await page.mouse.click(left.x + 0.3 * (right.x - left.x), left.y);
});
await take('envelope', `${rib}?stage=combinations&acting=U&quantity=Mz`);
await take('drawing', `${lintel}?stage=geometry&acting=G&quantity=Mz`, async () => {
  await page.locator('::-p-aria(Draw)').click();
  const tip = await place('Node 4 ');
  await page.mouse.click(tip.x, tip.y);
  await page.mouse.move(tip.x - 100, tip.y + 133, { steps: 4 });
});
await take('mechanism', `${lintel}?stage=supports&acting=G&quantity=Mz`, async () => {
  await page.locator('::-p-aria(Remove the support of node 1)').click();
});
await page.keyboard.down('Control');
await page.keyboard.press('z');
await page.keyboard.up('Control');
await settle();
await take('night', `${rib}?stage=results&acting=U1&quantity=Mz`, async () => {
  await page.locator('::-p-aria(Change between day and night)').click();
});

await browser.close();
server.child.kill('SIGTERM');
await server.exited;
rmSync(data, { recursive: true, force: true });
rmSync(profile, { recursive: true, force: true });
