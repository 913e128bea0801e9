import type { NextConfig } from 'next';

const config: NextConfig = {
  // Tests build beside a running application, never over it.
  distDir: process.env.OAK_BUILD_DIR ?? '.next',
  // Their optional drivers are required by name at run time, which a bundle cannot follow.
  serverExternalPackages: ['sequelize', 'pg', 'pg-hstore', 'umzug', '@node-rs/argon2'],
  // `npm test` checks types by itself, once, for scripts and tests too.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  devIndicators: false,
};

export default config;
