import { itemOf } from '@/kitchen/known-item';
import { methodCalendar, readLocalTime } from '@/kitchen/method/calendar';
import { workFile } from '@/kitchen/method/work-method';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

/** The work on a formula as an iCalendar file, from `?start=2026-11-28T14:08` on. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const start = readLocalTime(new URL(request.url).searchParams.get('start') ?? '');
    if (!start) throw new RequestError(400, 'A start is a day and a time: 2026-11-28T14:08.');
    const { db } = await sharedDatabase();
    const formula = await findFormula(db, (await params).id);
    if (!formula) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const { id, file } = formula;
    const used = file.lines.map(({ ingredient }) => ingredient);
    const larder = new Map((await someIngredients(db, used)).map((each) => [each.id, each]));
    const isKnown = used.every((ingredient) => itemOf(file, larder, ingredient) !== undefined);
    const worked = isKnown ? workFile(file, larder) : undefined;
    if (!worked) throw new RequestError(404, 'No way of working suits this formula yet: there is nothing to plan.');
    const calendar = methodCalendar(id, file, worked, (each) => itemOf(file, larder, each)?.name ?? each, start);
    return new Response(calendar, {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'attachment; filename="method.ics"',
      },
    });
  });
}
