import { NextResponse } from 'next/server';
import { kitchenSettings } from '@/app/kitchen-settings';
import { settingsChangeSchema } from '@/formats/settings';
import { sharedDatabase } from '@/server/db/database';
import { answering, readJson } from '@/server/read-request';
import { changeSettings } from '@/server/repositories/settings';

/** How the kitchen writes what it measures. */
export async function GET() {
  return answering(async () => NextResponse.json(await kitchenSettings()));
}

/** Changes some of it. */
export async function PATCH(request: Request) {
  return answering(async () => {
    const change = await readJson(request, settingsChangeSchema);
    const { db } = await sharedDatabase();
    await changeSettings(db, change);
    return NextResponse.json(await kitchenSettings());
  });
}
