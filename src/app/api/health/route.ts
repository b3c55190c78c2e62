import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { productVersion } from '@/server/version';

export const dynamic = 'force-dynamic';

/** Says that the server and its database answer, and what they are. */
export async function GET() {
  const { db, schemaName } = await sharedDatabase();
  await db.execute('select 1');
  return NextResponse.json({
    status: 'ok',
    version: productVersion(),
    schema: schemaName,
    uptimeSeconds: Math.round(process.uptime()),
  });
}
