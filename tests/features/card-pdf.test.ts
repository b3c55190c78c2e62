import { describe, expect, it } from 'vitest';
import { benchCard } from '@/features/card/bench-card';
import { cardPdf } from '@/features/card/card-pdf';
import { readFormula } from '@/formats/formula-file';
import { missingLetters } from '@/ui/paper/pdf-fonts';
import { fileOf, larder } from '../support/kitchen';

describe('the bench card as a PDF', () => {
  it('has the letters of the kitchens it may come from, and says which it has not', () => {
    expect(missingLetters('Żółć i śmietana, Crème brûlée, Σοκολάτα, Шоколад, Çikolata, ¼ ⅓ ⅛ ≈ ✓ ✕ €₺₹ °')).toEqual([]);
    expect(missingLetters('さくら さ')).toEqual(['さ', 'く', 'ら']);
  });

  it('is a PDF with its fonts inside', async () => {
    const file = readFormula({ ...fileOf([['cream-35', 100]]), name: 'Żurek, さくら', note: 'Шоколад' });
    const pdf = await cardPdf(benchCard(file, larder, 'standard', 'cups'));
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    const text = pdf.toString('latin1');
    expect(text).toMatch(/FontFile2/);
    expect(text).toMatch(/DejaVuSans/);
  });
});
