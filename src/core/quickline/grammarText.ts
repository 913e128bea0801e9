import { ITEM_SPECS, type ItemSpec } from './lineSpecs';

/** What one item of the line may say, in a line of words: its label, the words that may follow, its short form. */
export function itemWords({ label, words, fields }: ItemSpec): string {
  const more = fields.flatMap(({ word, type, choices, label: name }) => {
    if (!word) return type === 'bare' || type === 'choice' ? [(choices ?? []).join(' / ')] : [];
    return [name.toLowerCase().startsWith(word) ? name.toLowerCase() : `${word} ${name.toLowerCase()}`];
  });
  return [label, ...more, ...(words[1] ? [`or ${words[1]}`] : [])].join('; ');
}

/** The quick line's grammar as a Markdown page, from the table that the line is read by. */
export function grammarPage(): string {
  const rows = ITEM_SPECS.map(
    (spec) =>
      `| \`${spec.example}\` | ${itemWords(spec).replaceAll('|', '\\|')} | ${spec.many ? 'any number' : 'once'} |`,
  );
  return `# The quick line

One line of text makes a room: its name, its sizes or a walk along its walls, then items set apart by commas. Walls count
from 1, clockwise on the plan; places on a wall are measured from its left end, seen from inside. A name, floor or note
that holds a comma or a colon stands in quotation marks.

\`\`\`
NAME [:] LENGTH x WIDTH [x HEIGHT] {, ITEM}
NAME [:] r LENGTH d LENGTH l LENGTH … [spread] {, ITEM}
\`\`\`

A walk goes right, down, left and up the plan, either way round; its first wall is wall 1. Two letters are a slanting wall:
\`dr 3'\` at 45°, \`dr 3' x 2'\` by its two legs. The last wall may go without its length and closes the walk. A walk that
does not close is refused with the gap; \`spread\` lets every wall take its share of it.

An opening without a wall takes the next wall that has none, in its middle; a window without a sill has its head at 80 in.
A bare number is in the house's unit; \`12'4 1/2"\`, \`12-4.5\`, \`12.375'\`, \`3766 mm\` and \`3.766m\` are read too.

| Item | What it may say | |
|---|---|---|
${rows.join('\n')}

This page is written by \`npm run schema\`.
`;
}
