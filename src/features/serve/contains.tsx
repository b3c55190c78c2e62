import { allergenWords } from '@/kitchen/words/allergen-sentences';
import type { Serving } from './use-serving';

/** What the sauce holds, what it may hold, and what nobody has declared: that may be anything. */
export function Contains({ serving }: { serving: Serving }) {
  const { contains, mayContain, unknown } = allergenWords(serving.contents);
  return (
    <>
      Contains {contains}
      {mayContain && `; may contain ${mayContain}`}.{' '}
      {unknown.map((sentence) => (
        <strong key={sentence} className="text-off">
          {sentence}{' '}
        </strong>
      ))}
    </>
  );
}
