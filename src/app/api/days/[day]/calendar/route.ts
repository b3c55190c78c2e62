import { type PlannedWork, timeOn, workCalendar } from '@/kitchen/method/calendar';
import { askedDay } from '@/server/asked-day';
import { sharedDatabase } from '@/server/db/database';
import { methodOf } from '@/server/method-of';
import { answering, RequestError } from '@/server/read-request';
import { tasksOf } from '@/server/repositories/days';

/** All work of a day as an iCalendar file, for the stove its link carries; a formula that no way of working suits is not in it. */
export async function GET(request: Request, { params }: { params: Promise<{ day: string }> }) {
  return answering(async () => {
    const day = askedDay((await params).day);
    const query = new URL(request.url).searchParams;
    const { db } = await sharedDatabase();
    const works: PlannedWork[] = [];
    for (const { id, formulaId, readyMinutes } of await tasksOf(db, day)) {
      const found = await methodOf(db, formulaId, query);
      const start = found?.worked && timeOn(day, readyMinutes - Math.round(found.worked.seconds / 60));
      if (found?.worked && start) {
        works.push({ id, file: found.file, worked: found.worked, start, nameOf: found.nameOf });
      }
    }
    if (works.length === 0) throw new RequestError(404, 'Nothing is planned on this day.');
    return new Response(workCalendar(day, works), {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': `attachment; filename="day-${day}.ics"`,
      },
    });
  });
}
