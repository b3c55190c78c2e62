'use client';

import { Moon, Sun } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { memo, type ReactNode } from 'react';
import { Mark } from './mark';
import { useTheme } from './use-theme';

const PLACES = [
  { href: '/', name: 'Formulas' },
  { href: '/larder', name: 'Larder' },
  { href: '/numbers', name: 'Numbers' },
] as const;

/** The dark bar on top: the house, what is open with what belongs to it, and the other rooms. */
export function TopBar({ children }: { children?: ReactNode }) {
  return (
    <header className="on-dark flex min-h-14 items-center gap-3 bg-bar px-4 text-white">
      <Link
        href="/"
        className="flex min-h-11 shrink-0 items-center gap-2.5 rounded-md pr-2"
        aria-label="Dark Pour, all formulas"
      >
        <Mark className="h-6 w-5" />
        <span className="font-head text-[1.2rem] font-bold tracking-tight max-lg:sr-only">Dark Pour</span>
      </Link>
      {children ?? <span className="flex-1" />}
      <Rooms />
    </header>
  );
}

/** The light and the other rooms: the same on every page, drawn once. */
const Rooms = memo(function Rooms() {
  const path = usePathname();
  const [theme, chooseTheme] = useTheme();
  return (
    <>
      <button
        type="button"
        onClick={() => chooseTheme(theme === 'day' ? 'night' : 'day')}
        aria-label={theme === 'day' ? 'Night theme' : 'Day theme'}
        className="flex size-11 shrink-0 items-center justify-center rounded-md hover:bg-white/10"
      >
        {theme === 'day' ? <Moon size={18} aria-hidden="true" /> : <Sun size={18} aria-hidden="true" />}
      </button>
      <nav aria-label="Rooms" className="flex shrink-0">
        {PLACES.map(({ href, name }) => (
          <Link
            key={href}
            href={href}
            aria-current={path === href ? 'page' : undefined}
            className="flex min-h-14 items-center border-transparent border-b-3 px-3 text-[#a9b6ba] hover:text-white aria-[current]:border-enamel-light aria-[current]:font-semibold aria-[current]:text-white"
          >
            {name}
          </Link>
        ))}
      </nav>
    </>
  );
});
