const MOST = 300;
const MOST_OF_A_WORD = 80;

/**
 * A refusal as one line of at most 300 characters that does nothing to a terminal: control characters are shown as what
 * they are, long names by their beginning and end.
 *
 * @example oneLine('rooms[0].name\n: is odd')  // 'rooms[0].name : is odd'
 */
export function oneLine(text: string): string {
  const plain = text
    .replace(/\s+/g, ' ')
    .replace(/[\p{Cc}\p{Cf}\p{Cs}]/gu, (mark) => `\\u${(mark.codePointAt(0) ?? 0).toString(16).padStart(4, '0')}`)
    .replace(/\S+/g, (word) => shortened(word, MOST_OF_A_WORD))
    .trim();
  return shortened(plain, MOST);
}

function shortened(text: string, most: number): string {
  const letters = [...text];
  if (letters.length <= most) return text;
  const tail = Math.floor(most / 4);
  return `${letters.slice(0, most - tail - 1).join('')}…${letters.slice(-tail).join('')}`;
}
