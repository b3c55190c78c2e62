import { describe, expect, it } from 'vitest';
import { sentenceParts } from '@/ui/sentence-parts';

const all = () => true;

describe('a sentence with fields', () => {
  it('keeps its words, its fields in order, and the marks behind fields', () => {
    expect(sentenceParts('Shine {shine}, taste {taste}.', all)).toEqual([
      { text: 'Shine ' },
      { slot: 'shine' },
      { mark: ',' },
      { text: ' taste ' },
      { slot: 'taste' },
      { mark: '.' },
    ]);
  });

  it('says a clause only where each of its fields is offered', () => {
    const words = 'Coat {count}[ over {sides} of {what}].';
    expect(sentenceParts(words, (slot) => slot !== 'what')).toEqual([
      { text: 'Coat ' },
      { slot: 'count' },
      { mark: '.' },
    ]);
    expect(sentenceParts(words, all).flatMap((part) => ('slot' in part ? [part.slot] : []))).toEqual([
      'count',
      'sides',
      'what',
    ]);
  });
});
