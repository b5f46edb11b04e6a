import type { NextConfig } from 'next';

const config: NextConfig = {
  // The test build has a folder of its own, so that it can't break a running app.
  distDir: process.env.STABLE_DIST ?? '.next',
  serverExternalPackages: [
    '@electric-sql/pglite',
    'piscina',
    'exceljs',
    'pdfkit',
    'yauzl',
    'yazl',
    '@node-rs/argon2',
    '@zxcvbn-ts/language-common',
    'rate-limiter-flexible',
  ],
  poweredByHeader: false,
  devIndicators: false,
  typescript: { ignoreBuildErrors: true }, // `npm test` runs tsc over everything, tests included
};

export default config;
