import { NextResponse } from 'next/server';

/** What is asked of no route there is. */
const nowhere = () => NextResponse.json({ message: 'There is nothing here.', issues: [] }, { status: 404 });

export { nowhere as DELETE, nowhere as GET, nowhere as PATCH, nowhere as POST, nowhere as PUT };
