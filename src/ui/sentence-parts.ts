/** A piece of a sentence with fields in it: words, a field's name, or a mark that takes no room of its own behind a field. */
export type SentencePart =
  | { readonly text: string }
  | { readonly slot: string }
  /** a comma, semicolon or full stop right behind a field */
  | { readonly mark: string };

const SLOT = /\{(\w+)\}/;

/**
 * A whole sentence taken apart. `{name}` is a field; what stands in square brackets is said only where all its fields are offered.
 *
 * @param offered whether there is such a field in this sentence
 * @example sentenceParts('Coat {count}[ over {sides}].', (slot) => slot === 'count') // [{text: 'Coat '}, {slot: 'count'}, {mark: '.'}]
 */
export function sentenceParts(sentence: string, offered: (slot: string) => boolean): SentencePart[] {
  const said = sentence.replace(/\[([^\]]*)\]/g, (_, clause: string) =>
    [...clause.matchAll(/\{(\w+)\}/g)].every(([, slot = '']) => offered(slot)) ? clause : '',
  );
  const pieces = said.split(SLOT);
  return pieces.flatMap((piece, i): SentencePart[] => {
    if (i % 2 === 1) return [{ slot: piece }];
    const mark = i > 0 ? /^[,;.]/.exec(piece)?.[0] : undefined;
    const text = mark ? piece.slice(1) : piece;
    return [...(mark ? [{ mark }] : []), ...(text ? [{ text }] : [])];
  });
}
