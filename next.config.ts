import type { NextConfig } from 'next';

const config: NextConfig = {
  // Tests build beside a running application, never over it.
  distDir: process.env.OAK_BUILD_DIR ?? '.next',
  // Their optional drivers are required by name at run time, which a bundle cannot follow.
  serverExternalPackages: ['sequelize', 'pg', 'umzug', '@node-rs/argon2', 'pino', 'sharp'],
  // `npm test` checks types by itself, once, for scripts and tests too.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  // What is said with every answer; pages also say which scripts they run, see `src/proxy.ts`.
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'Permissions-Policy', value: 'camera=(), geolocation=(), microphone=(), payment=(), usb=()' },
        { key: 'X-Frame-Options', value: 'DENY' },
      ],
    },
  ],
  // What a browser says that it shows already is a list, in percent; what cannot be read is marked by `watchHeaders`.
  rewrites: async () => ({
    beforeFiles: [
      {
        source: '/:path*',
        has: [{ type: 'header', key: 'next-router-state-tree', value: '(?!%5B.*%5D$).*' }],
        destination: '/api/unreadable',
      },
    ],
  }),
  devIndicators: false,
};

export default config;
