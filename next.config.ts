import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // Types are checked by ./vobrik test, once, over the whole house.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: [
    '@mikro-orm/core',
    '@mikro-orm/knex',
    '@mikro-orm/postgresql',
    '@mikro-orm/migrations',
    'pg',
    'pdfkit',
    '@node-rs/argon2',
    'busboy',
    'exceljs',
    'highs',
    'ics',
    'pino',
  ],
  experimental: { serverActions: { bodySizeLimit: '1mb' } },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'X-Frame-Options', value: 'DENY' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'Permissions-Policy', value: 'camera=(), microphone=(), geolocation=()' },
        { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
      ],
    },
  ],
};

export default config;
