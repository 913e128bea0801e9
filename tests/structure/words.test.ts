import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/**
 * What reads what people and files say refuses it in words, at the place where the rule is: a schema, the quick line, a drawing, a
 * file of readings. Everything else of the core answers with values and codes.
 */
const READERS =
  /^(?:room|quickline|dxf|house|log|air\/airFile)\/|^(?:air\/reading|materials\/catalogueSchema|measure\/\w+|standing\/coveredBy|work\/crew)\.ts$/;
/** What light falls on a wall is called in house files. */
const VALUES = ["'lamp along the wall'"];

describe('the core', () => {
  it('holds no sentence beside the readers', () => {
    const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' }).filter(
      (file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !READERS.test(file),
    );
    expect(files.length).toBeGreaterThan(100);
    const sentences = files.flatMap((file) =>
      readFileSync(`src/core/${file}`, 'utf8')
        .split('\n')
        // A fault of the program itself is told to whoever mends it.
        .filter((line) => !/^\s*(?:\/?\*|\/\/)|throw new|Error\(/.test(line))
        .flatMap((line) => line.match(/'[^']*'|`[^`]*`/g) ?? [])
        .filter((text) => /[a-z]{2,} [a-z]+ [a-z]+/.test(text) && !VALUES.includes(text))
        .map((text) => `${file}: ${text}`),
    );
    expect(sentences).toEqual([]);
  });
});
