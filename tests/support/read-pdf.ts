import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Points in a millimetre. */
const PT = 72 / 25.4;

/** A piece of text of a PDF, with where it stands, mm from the upper left corner of its page. */
export interface PdfText {
  readonly page: number;
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly widthMm: number;
}

/** What a PDF says, piece by piece, in the order it is drawn. */
export async function readPdf(
  bytes: Uint8Array,
): Promise<{ readonly pages: number; readonly texts: readonly PdfText[] }> {
  const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 }).promise;
  const texts: PdfText[] = [];
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number);
    const { height } = page.getViewport({ scale: 1 });
    for (const item of (await page.getTextContent()).items) {
      if (!('str' in item) || item.str.trim() === '') continue;
      const [, , , , x = 0, y = 0] = item.transform as number[];
      texts.push({ page: number, text: item.str, x: x / PT, y: (height - y) / PT, widthMm: item.width / PT });
    }
  }
  return { pages: pdf.numPages, texts };
}
