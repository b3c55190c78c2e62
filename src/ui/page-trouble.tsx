'use client';

import { useEffect, useState } from 'react';
import { z } from 'zod';
import { Button } from './button';

const troubleSchema = z.object({ message: z.string() });

/** What the server says is wrong with its disk or database; nothing where it says nothing. */
async function askTrouble(): Promise<string | undefined> {
  const answer = await fetch('/api/health');
  return answer.ok ? undefined : troubleSchema.safeParse(await answer.json()).data?.message;
}

/** A page that could not be shown, with the reason where the server knows it. */
export function PageTrouble({ reset }: { reset: () => void }) {
  const [trouble, setTrouble] = useState<string | undefined>();
  useEffect(() => {
    askTrouble().then(setTrouble, () => setTrouble('The server cannot be reached.'));
  }, []);
  return (
    <main className="mx-auto max-w-xl px-6 py-16">
      <h1 className="mb-2 text-[1.8rem]">This page could not be shown</h1>
      <p role="alert" className="mb-3 font-medium text-off">
        {trouble}
      </p>
      <p className="mb-6 text-mute">What was saved earlier stays. Try again; if it stays so, restart Dark Pour.</p>
      <Button look="primary" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
