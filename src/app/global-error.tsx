'use client';

import { PageTrouble } from '@/ui/page-trouble';
import './globals.css';

/** Where not even what stands on every page can be drawn. */
export default function GlobalErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en" data-theme="day">
      <body>
        <title>Dark Pour</title>
        <PageTrouble reset={reset} />
      </body>
    </html>
  );
}
