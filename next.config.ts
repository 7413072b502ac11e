import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
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
