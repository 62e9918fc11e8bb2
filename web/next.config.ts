import path from 'node:path';
import type { NextConfig } from 'next';
import { FILE_BYTES } from '../core/limits';

/** Bytes of a body, with room for what stands around a file of the largest size. */
const LARGEST_BODY = FILE_BYTES + 1024 * 1024;

const config: NextConfig = {
  experimental: { proxyClientMaxBodySize: LARGEST_BODY },
  transpilePackages: ['@rigid-beam/core', '@rigid-beam/drawing', '@rigid-beam/machine'],
  serverExternalPackages: ['@electric-sql/pglite', 'pino', 'web-ifc'],
  compiler: { styledComponents: true },
  // The checks of `npm test` look at the types; a build is not kept waiting for them a second time.
  typescript: { ignoreBuildErrors: true },
  turbopack: {
    root: path.join(import.meta.dirname, '..'),
    rules: { '*.csv': { loaders: [path.join(import.meta.dirname, '..', 'scripts', 'text-module.cjs')], as: '*.js' } },
  },
  // Browsers ask for it where a page's head comes in parts.
  rewrites: () => Promise.resolve([{ source: '/favicon.ico', destination: '/icon.svg' }]),
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
};

export default config;
