import { kitchenSettings } from '@/app/kitchen-settings';
import { keysOf } from '@/core/keys-of';
import { CUP_SYSTEMS } from '@/core/matter/measures';
import { benchCard } from '@/features/card/bench-card';
import { cardPdf } from '@/features/card/card-pdf';
import { sharedDatabase } from '@/server/db/database';
import { offThread } from '@/server/heavy/off-thread';
import { answering, RequestError } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

/** The bench card of a formula as a PDF; `?cups=us` measures in other cups than metric ones. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    await kitchenSettings();
    const { db } = await sharedDatabase();
    const formula = await findFormula(db, (await params).id);
    if (!formula) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const used = formula.file.lines.map(({ ingredient }) => ingredient);
    const larder = new Map((await someIngredients(db, used)).map((each) => [each.id, each]));
    const asked = new URL(request.url).searchParams.get('cups') ?? '';
    const cups = keysOf(CUP_SYSTEMS).find((each) => each === asked) ?? 'metric';
    const card = benchCard(formula.file, larder, 'grams', cups);
    const pdf = await offThread('cardPdf', card, () => cardPdf(card), { signal: request.signal });
    return new Response(new Uint8Array(pdf), {
      headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="bench-card.pdf"' },
    });
  });
}
