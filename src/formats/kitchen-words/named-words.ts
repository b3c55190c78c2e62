/** A kind whose numbers choose among several of the larder: by cocoa % or by fat %. */
export type Kind = 'dark' | 'milkChocolate' | 'white' | 'cream';

/** What cooks call an ingredient of the starting larder. */
export type NamedWords = readonly [id: string, words: readonly string[], kind?: Kind];
