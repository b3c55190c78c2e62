import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { listIngredients } from '@/server/repositories/larder';

/** All ingredients of the larder, in its order. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ ingredients: await listIngredients(db) });
  });
}
