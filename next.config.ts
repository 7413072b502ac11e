import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // Types are looked at by npm test, all of them, and not a second time by each build.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: [
    '@electric-sql/pglite',
    'highs',
    'bwip-js',
    'pdfkit',
    'fontkit',
    'fs-native-extensions',
    'tar',
    'sharp',
  ],
  outputFileTracingRoot: process.cwd(),
};
export default config;
