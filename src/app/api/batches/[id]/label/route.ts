import { batchLabel } from '@/app/batch-label';
import { labelPdf } from '@/features/label/label-pdf';
import { labelQuerySchema } from '@/formats/label';
import { offThread } from '@/server/heavy/off-thread';
import { answering, RequestError } from '@/server/read-request';

/** The labels of a batch as a PDF. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const asked = labelQuerySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!asked.success) {
      const [issue] = asked.error.issues;
      throw new RequestError(422, `${issue?.path.join('.')}: ${issue?.message}`);
    }
    const label = await batchLabel((await params).id, asked.data);
    if (!label) throw new RequestError(404, 'This batch is not here, or nothing is in it.');
    if (label.fault) throw new RequestError(422, label.fault);
    const { head, faces, code, size } = label;
    const print = { name: head.name, size, faces, count: asked.data.count, code };
    const pdf = await offThread('labelPdf', print, () => labelPdf(print), { signal: request.signal });
    return new Response(new Uint8Array(pdf), {
      headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="labels.pdf"' },
    });
  });
}
