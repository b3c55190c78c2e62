'use client';

import { Button } from '@/ui/button';
import { TopBar } from '@/ui/top-bar';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <>
      <TopBar />
      <main className="mx-auto max-w-xl px-6 py-16">
        <h1 className="mb-2 text-[1.8rem]">This page could not be shown</h1>
        <p className="mb-6 text-mute">
          Nothing that was saved is harmed. Try again; if it stays so, restart Dark Pour.
        </p>
        <Button look="primary" onClick={reset}>
          Try again
        </Button>
      </main>
    </>
  );
}
