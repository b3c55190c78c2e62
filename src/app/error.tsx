'use client';

import { PageTrouble } from '@/ui/page-trouble';
import { TopBar } from '@/ui/top-bar';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <>
      <TopBar />
      <PageTrouble reset={reset} />
    </>
  );
}
