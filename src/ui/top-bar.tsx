import Link from 'next/link';
import type { ReactNode } from 'react';
import { Mark } from './mark';

/** The dark bar on top: the house, what is open, and what belongs to it. */
export function TopBar({ children }: { children?: ReactNode }) {
  return (
    <header className="on-dark flex min-h-14 items-center gap-4 bg-ink px-4 text-white">
      <Link
        href="/"
        className="flex min-h-11 shrink-0 items-center gap-2.5 rounded-md pr-2"
        aria-label="Dark Pour, all formulas"
      >
        <Mark className="h-6 w-5" />
        <span className="font-head text-[1.2rem] font-bold tracking-tight">Dark Pour</span>
      </Link>
      {children}
    </header>
  );
}
