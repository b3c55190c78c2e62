import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ['@electric-sql/pglite'],
  allowedDevOrigins: ['127.0.0.1'],
  // Types are checked by `npm test` with tsc; the compiler here has no interface for a second pass.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
};

export default config;
