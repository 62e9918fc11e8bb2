import path from 'node:path';
import type { NextConfig } from 'next';

const config: NextConfig = {
  transpilePackages: ['@rigid-beam/core', '@rigid-beam/drawing'],
  serverExternalPackages: ['@electric-sql/pglite', 'pino'],
  compiler: { styledComponents: true },
  turbopack: { root: path.join(import.meta.dirname, '..') },
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
};

export default config;
