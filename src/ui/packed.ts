declare const content: unique symbol;

/** Data of a page as text. */
export type Packed<Content> = string & { readonly [content]?: Content };

/**
 * What a page is given of many rooms, as text: the framework walks through every object that it hands to the browser, twice,
 * and through a text not at all. Only for what is JSON.
 */
export const packed = <Content>(value: Content): Packed<Content> => JSON.stringify(value);

export const unpacked = <Content>(text: Packed<Content>): Content => JSON.parse(text);

/** What stands in a text for a time that never comes, which JSON has no number for. */
const NEVER = '∞';

/** As `packed`, where times may be infinite. */
export const packedTimes = <Content>(value: Content): Packed<Content> =>
  JSON.stringify(value, (_, own) => (own === Number.POSITIVE_INFINITY ? NEVER : own));

export const unpackedTimes = <Content>(text: Packed<Content>): Content =>
  JSON.parse(text, (_, own) => (own === NEVER ? Number.POSITIVE_INFINITY : own));
