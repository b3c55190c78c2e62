import { NextResponse } from 'next/server';
import { newestWhole } from '@/server/backup/look-for-damage';
import { knownDamage } from '@/server/db/damage';
import { dataFolder } from '@/server/db/data-folder';
import { knownSchemas, sharedDatabase } from '@/server/db/database';
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
    const damage = knownDamage();
    if (damage) {
      const whole = await newestWhole(dataFolder(), knownSchemas());
      const message = `${damage} ${whole ? `The newest whole backup is ${whole}.` : 'There is no whole backup beside the data.'}`;
      return NextResponse.json({ status: 'trouble', message }, { status: 503 });
    }
    return NextResponse.json({
      status: 'ok',
      version: productVersion(),
      schema: schemaName,
      uptimeSeconds: Math.round(process.uptime()),
    });
  });
}
