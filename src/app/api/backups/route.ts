import { NextResponse } from 'next/server';
import { listKept } from '@/server/backup/kept-backups';
import { dataFolder } from '@/server/db/data-folder';
import { answering } from '@/server/read-request';

/** The backups that were made by themselves, the newest first. */
export async function GET() {
  return answering(async () => NextResponse.json({ backups: listKept(dataFolder()) }));
}
