import { readLocalTime, workCalendar } from '@/kitchen/method/calendar';
import { sharedDatabase } from '@/server/db/database';
import { methodOf } from '@/server/method-of';
import { answering, RequestError } from '@/server/read-request';

/** The work on a formula as an iCalendar file, from `?start=2026-11-28T14:08` on, for the stove its link carries. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const query = new URL(request.url).searchParams;
    const start = readLocalTime(query.get('start') ?? '');
    if (!start) throw new RequestError(400, 'A start is a day and a time: 2026-11-28T14:08.');
    const { db } = await sharedDatabase();
    const { id } = await params;
    const found = await methodOf(db, id, query);
    if (!found) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const { file, worked, nameOf } = found;
    if (!worked) throw new RequestError(404, 'No way of working suits this formula yet: there is nothing to plan.');
    return new Response(workCalendar(file.name, [{ id, file, worked, start, nameOf }]), {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'attachment; filename="method.ics"',
      },
    });
  });
}
