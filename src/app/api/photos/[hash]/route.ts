import { dataFolder } from '@/server/db/data-folder';
import { readPhoto } from '@/server/photos/photo-folder';
import { answering, RequestError } from '@/server/read-request';

/** A photo; under its hash it never changes. */
export async function GET(_: Request, { params }: { params: Promise<{ hash: string }> }) {
  return answering(async () => {
    const jpeg = readPhoto(dataFolder(), (await params).hash);
    if (!jpeg) throw new RequestError(404, 'This photo is not here.');
    return new Response(new Uint8Array(jpeg), {
      headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
    });
  });
}
