declare const content: unique symbol;

/** Data of a page as text. */
export type Packed<Content> = string & { readonly [content]?: Content };

/**
 * What a page is given of many rooms, as text: the framework walks through every object that it hands to the browser, twice,
 * and through a text not at all. Only for what is JSON.
 */
export const packed = <Content>(value: Content): Packed<Content> => JSON.stringify(value);

export const unpacked = <Content>(text: Packed<Content>): Content => JSON.parse(text);
