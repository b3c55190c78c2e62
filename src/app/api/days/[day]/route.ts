import { NextResponse } from 'next/server';
import { MOST_TASKS, movedTasksSchema, newTaskSchema } from '@/formats/day';
import { askedDay } from '@/server/asked-day';
import { announce } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { answering, RequestError, readJson } from '@/server/read-request';
import { addTask, countTasks, moveTasks, tasksOf } from '@/server/repositories/days';
import { findFormula } from '@/server/repositories/formulas';

type Context = { params: Promise<{ day: string }> };

/** What is to be made on a day. */
export async function GET(_request: Request, { params }: Context) {
  return answering(async () => {
    const day = askedDay((await params).day);
    const { db } = await sharedDatabase();
    return NextResponse.json({ tasks: await tasksOf(db, day) });
  });
}

/** Puts a formula on a day. */
export async function POST(request: Request, { params }: Context) {
  return answering(async () => {
    const day = askedDay((await params).day);
    const task = await readJson(request, newTaskSchema);
    const kept = await keyedWrite(request, task, async (tx) => {
      if (!(await findFormula(tx, task.formulaId))) {
        throw new RequestError(404, 'This formula was deleted, or never was here.');
      }
      if ((await countTasks(tx, day)) >= MOST_TASKS) {
        throw new RequestError(409, `${MOST_TASKS} pieces of work are as many as a day holds.`);
      }
      return addTask(tx, day, task);
    });
    announce({ what: 'day', id: day });
    return NextResponse.json(kept, { status: 201 });
  });
}

/** Gives some of what is on a day another time. */
export async function PUT(request: Request, { params }: Context) {
  return answering(async () => {
    const day = askedDay((await params).day);
    const { tasks } = await readJson(request, movedTasksSchema);
    const { db } = await sharedDatabase();
    await moveTasks(db, day, tasks);
    announce({ what: 'day', id: day });
    return NextResponse.json({ tasks: await tasksOf(db, day) });
  });
}
