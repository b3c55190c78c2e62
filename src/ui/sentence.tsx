import type { ReactNode } from 'react';
import { sentenceParts } from './sentence-parts';

/** A whole sentence with fields in it, written as in {@link sentenceParts}; a field that is left out takes its clause along. */
export function Sentence({
  words,
  fields,
}: {
  words: string;
  fields: Readonly<Record<string, ReactNode | undefined>>;
}) {
  const parts = sentenceParts(words, (slot) => fields[slot] !== undefined);
  return parts.map((part, i) =>
    'mark' in part ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: a mark has no name but its place
      <Mark key={`mark ${i}`}>{part.mark}</Mark>
    ) : (
      <span key={'slot' in part ? part.slot : `words ${i}`}>{'slot' in part ? fields[part.slot] : part.text}</span>
    ),
  );
}

/** A comma or full stop behind a field: it takes no room on the line, so that it never begins the next one. */
function Mark({ children }: { children: string }) {
  return (
    <>
      <span className="inline-block w-0">{children}</span>
      <span className="inline-block w-[0.25em]" />
    </>
  );
}
