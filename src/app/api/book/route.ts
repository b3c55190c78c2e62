import { NextResponse } from 'next/server';
import { bookQuerySchema } from '@/formats/book';
import { writeBookCsv } from '@/formats/book-csv';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { lookUpBook, wholeBook } from '@/server/repositories/book';

/** Lines of the book that answer a question, a page at a time; with `as=csv` or `as=json` all of them as a file. */
export async function GET(request: Request) {
  return answering(async () => {
    const { as, ...asked } = Object.fromEntries(new URL(request.url).searchParams);
    const query = bookQuerySchema.safeParse(asked);
    if (!query.success) {
      throw new RequestError(422, 'The book cannot be asked that.');
    }
    const { db } = await sharedDatabase();
    if (as === undefined) return NextResponse.json(await lookUpBook(db, query.data));
    const rows = await wholeBook(db, query.data);
    const headers = { 'content-disposition': `attachment; filename="batches.${as === 'csv' ? 'csv' : 'json'}"` };
    if (as === 'csv') {
      return new NextResponse(writeBookCsv(rows), {
        headers: { ...headers, 'content-type': 'text/csv; charset=utf-8' },
      });
    }
    if (as !== 'json') throw new RequestError(404, 'There is no such format: csv or json.');
    return NextResponse.json({ format: 'dark-pour/book', version: 1, batches: rows }, { headers });
  });
}
