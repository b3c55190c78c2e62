import type { FilmDoor } from '@/workers/film.worker';
import { threadOf } from '@/workers/thread';

/** Films flow, and plates are drawn, beside the page. */
export const films = threadOf<FilmDoor>(
  () => new Worker(new URL('../../workers/film.worker.ts', import.meta.url), { type: 'module' }),
);
