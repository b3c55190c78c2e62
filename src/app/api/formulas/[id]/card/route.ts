import { kitchenSettings } from '@/app/kitchen-settings';
import { keysOf } from '@/core/keys-of';
import { calibrationOf } from '@/core/learn/kitchen';
import { CUP_SYSTEMS } from '@/core/matter/measures';
import { benchCard } from '@/features/card/bench-card';
import { cardPdf } from '@/features/card/card-pdf';
import { larderOf } from '@/kitchen/known-item';
import { sharedDatabase } from '@/server/db/database';
import { offThread } from '@/server/heavy/off-thread';
import { answering, RequestError } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';
import { kitchenPours } from '@/server/repositories/kitchen-tests';
import { someIngredients } from '@/server/repositories/larder';

/** The bench card of a formula as a PDF; `?cups=us` measures in other cups than metric ones, `?figures=standard` leaves this kitchen's tests out. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    await kitchenSettings();
    const { db } = await sharedDatabase();
    const { id } = await params;
    const formula = await findFormula(db, id);
    if (!formula) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const used = formula.file.lines.map(({ ingredient }) => ingredient);
    const larder = larderOf(await someIngredients(db, used));
    const asked = new URL(request.url).searchParams;
    const cups = keysOf(CUP_SYSTEMS).find((each) => each === asked.get('cups')) ?? 'metric';
    const knowledge = asked.get('figures') === 'standard' ? undefined : await kitchenPours(db);
    const card = benchCard(formula.file, larder, calibrationOf(knowledge, id), 'grams', cups);
    const pdf = await offThread('cardPdf', card, () => cardPdf(card), { signal: request.signal });
    return new Response(new Uint8Array(pdf), {
      headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="bench-card.pdf"' },
    });
  });
}
