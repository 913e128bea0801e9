/**
 * Prints a report as indented lines, one value a line; lists of plain values stay on one line.
 *
 * @example tableText({ unit: 'in', total: { flat: { length: 748, count: 8 } } })
 */
export function tableText(report: object): string {
  const lines: string[] = [];
  const walk = (name: string, value: unknown, depth: number) => {
    const lead = '  '.repeat(depth);
    if (
      Array.isArray(value) &&
      value.some((item) => typeof item === 'object' && item !== null && !Array.isArray(item))
    ) {
      lines.push(`${lead}${name}`);
      for (const [index, item] of value.entries()) walk(titleOf(item, index), item, depth + 1);
    } else if (typeof value === 'object' && value !== null && !Array.isArray(value)) {
      const flat = Object.values(value).every(
        (item) =>
          typeof item !== 'object' ||
          item === null ||
          (Array.isArray(item) && item.every((part) => typeof part !== 'object')),
      );
      if (flat && name !== '')
        lines.push(
          `${(lead + name).padEnd(28)} ${Object.entries(value)
            .map(([key, item]) => `${key} ${plain(item)}`)
            .join('   ')}`,
        );
      else {
        if (name !== '') lines.push(`${lead}${name}`);
        for (const [key, item] of Object.entries(value)) walk(key, item, name === '' ? depth : depth + 1);
      }
    } else lines.push(`${(lead + name).padEnd(28)} ${plain(value)}`);
  };
  walk('', report, 0);
  return lines.join('\n');
}

function titleOf(item: unknown, index: number): string {
  if (typeof item !== 'object' || item === null) return String(index + 1);
  const title = 'name' in item ? item.name : 'product' in item ? item.product : 'id' in item ? item.id : index + 1;
  return String(title);
}

function plain(value: unknown): string {
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map(plain).join(', ');
  return value === null ? 'never' : String(value);
}
