import { existsSync } from 'node:fs';

const known = () => [
  process.env.CHROME,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
];

/** Path of a Chrome or Chromium; CHROME names another one. Undefined when none is found. */
export const findBrowser = () => known().find((file) => file !== undefined && existsSync(file));

/** Without a sandbox, a GPU or a word to the outside: for tests and pictures on this machine. */
export const browserFlags = [
  '--no-sandbox',
  '--disable-gpu',
  '--enable-unsafe-swiftshader',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const NO_BROWSER = 'No Chrome or Chromium was found: install Debian’s package chromium, or set CHROME to the path of one.';
