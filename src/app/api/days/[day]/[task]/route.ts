import { NextResponse } from 'next/server';
import { askedDay } from '@/server/asked-day';
import { announce } from '@/server/changes/changes';
import { keyedWrite } from '@/server/keyed-write';
import { answering, RequestError } from '@/server/read-request';
import { removeTask } from '@/server/repositories/days';

/** Takes a piece of work off its day. */
export async function DELETE(request: Request, { params }: { params: Promise<{ day: string; task: string }> }) {
  return answering(async () => {
    const { day, task } = await params;
    const asked = askedDay(day);
    if (!(await keyedWrite(request, null, (tx) => removeTask(tx, asked, task))))
      throw new RequestError(404, 'This is not on the day any more.');
    announce({ what: 'day', id: day });
    return NextResponse.json({ removed: true });
  });
}
