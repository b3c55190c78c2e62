import { sharedChanges } from '@/server/changes/changes';

export const dynamic = 'force-dynamic';

/** A line now and then shows both ends that the other one is there. */
const BEAT_MS = 20_000;

/** What changes in the kitchen, as it happens (server-sent events). */
export async function GET(request: Request) {
  const encoder = new TextEncoder();
  let stop: () => void = () => undefined;
  const stream = new ReadableStream({
    start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      const silence = sharedChanges().listen((change) => send(`data: ${JSON.stringify(change)}\n\n`));
      const beat = setInterval(() => send(': here\n\n'), BEAT_MS);
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
      send('retry: 3000\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // Passed on as it comes, not gathered to be compressed.
      'cache-control': 'no-cache, no-transform',
    },
  });
}
