import type { StoredTask } from '@/formats/day';
import { askOnce, askServer } from './ask-server';

/** Puts a formula on a day. */
export async function putOnDay(day: string, formulaId: string, readyMinutes: number): Promise<void> {
  await askOnce(`/api/days/${day}`, 'POST', { formulaId, readyMinutes });
}

/** Gives some of what is on a day another time. */
export async function moveOnDay(day: string, tasks: readonly Omit<StoredTask, 'formulaId'>[]): Promise<void> {
  await askServer(`/api/days/${day}`, 'PUT', { tasks });
}

export async function takeOffDay(day: string, task: string): Promise<void> {
  await askOnce(`/api/days/${day}/${task}`, 'DELETE');
}
