import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

/** Where a press says at once what is shown: there is no draft that could be older than its version. */
const AT_ONCE = [
  'views/coats/RoomFinishes.tsx',
  'views/load/KeepLeft.tsx',
  'views/run/RunBoard.tsx',
  'views/run/useIll.ts',
];

const sources = (readdirSync('src/views', { recursive: true }) as string[])
  .filter((file) => /\.tsx?$/.test(file))
  .map((file) => ({ file: join('views', file), text: readFileSync(join('src/views', file), 'utf8') }));

/** The version with which each command of a text is sent, as it is written there. */
const versionsIn = (text: string): readonly string[] =>
  [...text.matchAll(/\brun\('\w+', \{([\s\S]*?);\n/g)].flatMap(([, input = '']) =>
    [...input.matchAll(/\bversion(?:: ([\w.()]+))?/g)].map(([, value]) => value ?? 'version'),
  );

describe('a draft', () => {
  it('is sent with the version of what was opened, not of what the page shows by then', () => {
    const live = sources.flatMap(({ file, text }) =>
      versionsIn(text)
        .filter((value) => !/^opened\.|^versionOf\(/.test(value))
        .map(() => file),
    );
    expect([...new Set(live)].sort()).toEqual([...AT_ONCE].sort());
    expect(sources.flatMap(({ text }) => versionsIn(text)).length).toBeGreaterThan(7);
  });
});
