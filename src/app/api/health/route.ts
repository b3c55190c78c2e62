import { NextResponse } from 'next/server';
import { dataFolder } from '@/server/db/data-folder';
import { sharedDatabase } from '@/server/db/database';
import { diskTrouble } from '@/server/db/disk';
import { answering } from '@/server/read-request';
import { productVersion } from '@/server/version';

export const dynamic = 'force-dynamic';

/** Says that the server and its database answer, and what they are; 503 with a word where nothing can be saved. */
export async function GET() {
  return answering(async () => {
    const trouble = diskTrouble(dataFolder());
    if (trouble) return NextResponse.json({ status: 'trouble', message: trouble }, { status: 503 });
    const { db, schemaName } = await sharedDatabase();
    await db.execute('select 1');
    return NextResponse.json({
      status: 'ok',
      version: productVersion(),
      schema: schemaName,
      uptimeSeconds: Math.round(process.uptime()),
    });
  });
}
