import type { LengthUnit } from '@/core/measure/unit';
import { itemsOf, sizesText } from '@/core/quickline/itemsOf';
import { type LineItem, type WrittenValue, writeLine } from '@/core/quickline/lineItems';
import { type ItemKind, specOf } from '@/core/quickline/lineSpecs';
import { quoted } from '@/core/quickline/quickLinePieces';
import type { QuickRoom } from '@/core/room/schema';

/** A room as the texts of a form's fields: the head of its line, then item by item. */
export interface FormTexts {
  name: string;
  sizes: string;
  items: { kind: ItemKind; values: Record<string, string> }[];
}

/** Items that every room's form shows first, whether they are said or not. */
export const ALWAYS: readonly ItemKind[] = ['on', 'level', 'ceiling', 'walls'];

/** The texts that show a room; none shows an empty form. */
export function textsOf(room: QuickRoom | undefined, unit: LengthUnit): FormTexts {
  const items = room ? itemsOf(room, unit) : [];
  const always = ALWAYS.map((kind) => ({
    kind,
    values: { ...(items.find((item) => item.kind === kind && !item.values.of)?.values ?? {}) },
  }));
  const rest = items.filter((item) => !always.some((shown) => shown.kind === item.kind && !item.values.of));
  return {
    name: room?.name ?? '',
    sizes: room ? sizesText(room, unit) : '',
    items: [...always, ...rest.map(({ kind, values }) => ({ kind, values: { ...values } }))],
  };
}

/** A path of a field of the form. */
export type FieldName = 'name' | 'sizes' | `items.${number}.values.${string}`;

/** The line that the form's texts make, and the field that wrote the character at a place of it. */
export function lineOf(texts: FormTexts): { readonly line: string; readonly fieldAt: (at: number) => FieldName } {
  const head = `${quoted(texts.name.trim())}: ${texts.sizes.trim()}`;
  const said = texts.items.flatMap((item, index) => (isSaid(item) ? [{ item, index }] : []));
  const { line, values } = writeLine(
    head,
    said.map(({ item }) => item),
  );
  const nameEnd = quoted(texts.name.trim()).length;
  return {
    line,
    fieldAt: (at) => {
      if (at < nameEnd || texts.name.trim() === '') return 'name';
      if (at <= head.length) return 'sizes';
      const found = values.find(({ from, to }) => at >= from && at <= to) ?? nextValue(values, at);
      const entry = said[found?.item ?? said.length - 1];
      if (!entry) return 'sizes';
      return `items.${entry.index}.values.${found?.field ?? specOf(entry.item.kind).fields[0]?.name ?? ''}`;
    },
  };
}

/** A fault before an item's first value, or in the words between, belongs to the value that follows. */
const nextValue = (values: readonly WrittenValue[], at: number): WrittenValue | undefined =>
  values.find(({ from }) => from >= at) ?? values.at(-1);

const isSaid = ({ kind, values }: LineItem): boolean =>
  specOf(kind).fields.length === 0 || Object.values(values).some((value) => (value ?? '').trim() !== '');
