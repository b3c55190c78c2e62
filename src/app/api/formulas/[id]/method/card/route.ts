import { kitchenSettings } from '@/app/kitchen-settings';
import { methodPaper } from '@/features/method/method-paper';
import { methodPdf } from '@/features/method/method-pdf';
import { readPlan } from '@/kitchen/method/plan';
import { sharedDatabase } from '@/server/db/database';
import { offThread } from '@/server/heavy/off-thread';
import { methodOf } from '@/server/method-of';
import { answering, RequestError } from '@/server/read-request';

/** The method of a formula as a PDF, for the stove its link carries; with clock times from `&start=2026-11-28T14:08` on. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    await kitchenSettings();
    const { db } = await sharedDatabase();
    const query = new URL(request.url).searchParams;
    const found = await methodOf(db, (await params).id, query);
    if (!found) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const { file, worked, nameOf } = found;
    if (!worked) throw new RequestError(404, 'No way of working suits this formula yet: there is nothing to print.');
    const names = file.lines.map(({ ingredient }) => nameOf(ingredient));
    const paper = methodPaper(file.name, worked, names, readPlan(query.get('start') ?? ''));
    const pdf = await offThread('methodPdf', paper, () => methodPdf(paper), { signal: request.signal });
    return new Response(new Uint8Array(pdf), {
      headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="method-card.pdf"' },
    });
  });
}
