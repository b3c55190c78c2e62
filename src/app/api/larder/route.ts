import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ingredientSchema } from '@/formats/ingredient';
import { writeLarderCsv } from '@/formats/larder-csv-writing';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { kept } from '@/server/larder-answers';
import { answering, readJson } from '@/server/read-request';
import { addIngredient, listIngredients } from '@/server/repositories/larder';

const addSchema = z.object({ ingredient: ingredientSchema });

/** The whole larder as a CSV file. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return new NextResponse(writeLarderCsv(await listIngredients(db)), {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': 'attachment; filename="larder.csv"',
      },
    });
  });
}

/** Adds an ingredient of the kitchen's own. */
export async function POST(request: Request) {
  return answering(async () => {
    const asked = await readJson(request, addSchema);
    return kept(await keyedWrite(request, asked, (tx) => addIngredient(tx, asked.ingredient)), 201);
  });
}
