import { build } from 'esbuild';

/** Sources in TypeScript as one module that Node runs; data files come along as texts. `more`: what else the bundler is to know. */
export const bundle = (entry, outfile, more = {}) =>
  build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    loader: { '.csv': 'text' },
    // It finds its program beside itself.
    external: ['web-ifc'],
    platform: 'node',
    format: 'esm',
    logLevel: 'warning',
    ...more,
  });
