import { readdirSync } from 'node:fs';

/** The addresses of all pages, or of all routes that are none, from the application's files; with `[house]` and `[room]` in them. */
export const routesOf = (kind: 'page.tsx' | 'route.ts'): readonly string[] =>
  readdirSync('src/app', { recursive: true, encoding: 'utf8' })
    .filter((file) => file === kind || file.endsWith(`/${kind}`))
    .map((file) => `/${file.slice(0, -kind.length)}`.replace(/(.)\/$/, '$1'));
