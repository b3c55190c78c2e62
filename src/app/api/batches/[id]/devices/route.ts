import { NextResponse } from 'next/server';
import { deviceOrderSchema } from '@/formats/device';
import { sharedChanges } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { practiceSet } from '@/server/devices/practice-set';
import { answering, RequestError, readJson } from '@/server/read-request';

export const dynamic = 'force-dynamic';

const EVERY_MS = 100;

type Context = { params: Promise<{ id: string }> };

/** What scale and probe beside a batch say, ten times a second (server-sent events). */
export async function GET(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params;
    const { db } = await sharedDatabase();
    const set = await practiceSet(db, id);
    if (!set) throw new RequestError(404, 'This batch is not here.');
    const encoder = new TextEncoder();
    let stop: () => void = () => undefined;
    const stream = new ReadableStream({
      start(controller) {
        const silence = sharedChanges().listen((change) => {
          if (change.what === 'batch' && change.id === id) void set.refresh().catch(() => undefined);
        });
        const beat = setInterval(() => {
          controller.enqueue(encoder.encode(`data: ${JSON.stringify(set.read())}\n\n`));
        }, EVERY_MS);
        stop = () => {
          clearInterval(beat);
          silence();
          stop = () => undefined;
        };
        request.signal.addEventListener('abort', () => {
          stop();
          try {
            controller.close();
          } catch {
            // Closed from the other end.
          }
        });
      },
      cancel: () => stop(),
    });
    return new Response(stream, {
      headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-cache, no-transform' },
    });
  });
}

/** Tares the scale, or tells the practice set what happens to it. */
export async function POST(request: Request, { params }: Context) {
  return answering(async () => {
    const order = await readJson(request, deviceOrderSchema);
    const { db } = await sharedDatabase();
    const set = await practiceSet(db, (await params).id);
    if (!set) throw new RequestError(404, 'This batch is not here.');
    set.order(order);
    return NextResponse.json(set.read());
  });
}
