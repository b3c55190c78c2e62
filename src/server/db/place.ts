import { dataFolder } from './data-folder';

/** Whether a kitchen lies on a PostgreSQL server and not in a folder. */
export const isOnServer = (place: string): boolean => /^postgres(ql)?:\/\//i.test(place);

/** Where the kitchen lies: on the PostgreSQL server of `DATABASE_URL`, or in the data folder. */
export function kitchenPlace(): string {
  const url = process.env.DATABASE_URL?.trim();
  if (!url) return dataFolder();
  if (!isOnServer(url))
    throw new RangeError('DATABASE_URL must begin with postgres://, like postgres://name@host/base.');
  return url;
}

/** A place as it may be shown: without the password. */
export function shownPlace(place: string): string {
  if (!isOnServer(place)) return place;
  try {
    const url = new URL(place);
    url.password = '';
    return url.href;
  } catch {
    return 'postgres://…';
  }
}
