import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { describe, expect, it } from 'vitest';

const FILES = [
  'README.md',
  'CONTRIBUTING.md',
  'CHANGELOG.md',
  ...readdirSync('docs', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.md'))
    .map((file) => join('docs', file)),
];
const texts = new Map(FILES.map((file) => [file, readFileSync(file, 'utf8')]));

/** Returns what a pattern finds in all documents, as `file: text`. */
const foundIn = (pattern: RegExp) =>
  [...texts].flatMap(([file, text]) => [...text.matchAll(pattern)].map(([, found = '']) => [file, found] as const));

const links = foundIn(/\]\(([^)\s#]+)(?:#[^)]*)?\)/g)
  .filter(([, target]) => !/^https?:/.test(target))
  .map(([file, target]) => [file, normalize(join(dirname(file), target))] as const);

describe('the documents', () => {
  it('name only scripts that exist', () => {
    const { scripts } = JSON.parse(readFileSync('package.json', 'utf8'));
    const named = foundIn(/npm run (?:-s )?([a-z][a-z:-]*)/g);
    expect(named.length).toBeGreaterThan(30);
    expect(named.filter(([, name]) => !(name in scripts))).toEqual([]);
  });

  it('link only to files that exist', () => {
    expect(links.length).toBeGreaterThan(60);
    expect(links.filter(([, target]) => !existsSync(target))).toEqual([]);
  });

  it('show every screenshot in the README, and have few of them', () => {
    const shots = readdirSync('docs/screenshots').map((name) => join('docs/screenshots', name));
    const shown = new Set(links.flatMap(([file, target]) => (file === 'README.md' ? [target] : [])));
    expect(shots.filter((shot) => !shown.has(shot))).toEqual([]);
    expect(shots.length).toBeLessThan(20);
  });

  it('fit on one screen in the README', () => {
    expect(texts.get('README.md')?.split('\n').length).toBeLessThanOrEqual(65);
  });
});

describe('the changelog', () => {
  it('has a section for the version of the package, and a date for each', () => {
    const { version } = JSON.parse(readFileSync('package.json', 'utf8'));
    const sections = [...(texts.get('CHANGELOG.md') ?? '').matchAll(/^## (.*)$/gm)].map(([, title]) => title);
    expect(
      sections.filter((title) => !/^(Unreleased|\[\d+\.\d+\.\d+\] - \d{4}-\d{2}-\d{2})$/.test(title ?? '')),
    ).toEqual([]);
    expect(sections.some((title) => title?.startsWith(`[${version}]`))).toBe(true);
  });
});
