'use client';

import { useEffect, useState } from 'react';
import type { FigureNews } from '@/formats/figure-news';
import { missPhrase } from '@/kitchen/words/test-words';
import { Button } from './button';
import { percent } from './format';
import { tabletSetting } from './tablet-setting';

/** The last revision of the figures this tablet was told of. */
const useTold = tabletSetting<number>('figures-told', (text) => Number(text) || undefined, 0);
/** Less than this is no difference, ln. */
const SAME = 0.03;

const said = (ln: number) =>
  Math.abs(ln) < SAME ? 'pour as the book says' : missPhrase('warm', ln, percent).replace('pours', 'pour');

/** Says once on each tablet that the ring is read by a better formula now, and what became of this kitchen's own tests. */
export function FigureNewsNotice({ news }: { news: FigureNews | undefined }) {
  const [told, tell] = useTold();
  // What the tablet remembers is known only once the page listens.
  const [listens, setListens] = useState(false);
  useEffect(() => setListens(true), []);
  if (!listens || !news || told >= news.revision) return null;
  return (
    <section
      aria-label="Figures moved"
      className="no-print fixed inset-x-0 bottom-4 z-40 mx-auto flex w-[min(44rem,calc(100%-2rem))] items-center gap-4 rounded-xl border border-rule bg-sheet p-4 shadow-lg"
    >
      <p>
        The ring on a plate was predicted too wide; it is read by a better formula now. This kitchen’s {news.tests} warm
        tests had said that its sauces {said(news.was)}. Read anew they say that they {said(news.is)}. What is adjusted
        to your tests has moved with them.
      </p>
      <Button className="shrink-0" onClick={() => tell(news.revision)}>
        Got it
      </Button>
    </section>
  );
}
