import { NextResponse } from 'next/server';
import { LARGEST_PHOTO_BYTES } from '@/formats/photo';
import { dataFolder } from '@/server/db/data-folder';
import { develop, PhotoError } from '@/server/photos/develop';
import { keepPhoto } from '@/server/photos/photo-folder';
import { answering, RequestError, readBytes } from '@/server/read-request';

/** Keeps a photo and answers its name. */
export async function POST(request: Request) {
  return answering(async () => {
    const bytes = await readBytes(request, LARGEST_PHOTO_BYTES);
    const { jpeg, ...photo } = await develop(bytes).catch((error) => {
      throw error instanceof PhotoError ? new RequestError(422, error.message) : error;
    });
    keepPhoto(dataFolder(), photo.hash, jpeg);
    return NextResponse.json(photo, { status: 201 });
  });
}
