'use client';

import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ChevronDown, Moon, Sun } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { memo, type ReactNode } from 'react';
import { RESCUE_NAME } from '@/kitchen/words/rescue-words';
import { Mark } from './mark';
import { useEarlyChoices } from './use-early-choices';
import { useTheme } from './use-theme';

const PLACES = [
  { href: '/', name: 'Today' },
  { href: '/formulas', name: 'Formulas' },
  { href: '/day', name: 'Day' },
  { href: '/batches', name: 'Cook' },
  { href: '/rescue', name: RESCUE_NAME },
  { href: '/book', name: 'Book' },
  { href: '/shelf', name: 'Shelf' },
  { href: '/practice', name: 'Practice' },
  { href: '/larder', name: 'Larder' },
  { href: '/numbers', name: 'Numbers' },
  { href: '/settings', name: 'Settings' },
] as const;

/**
 * The dark bar on top. Over a piece of work: on the left the house, with the other rooms behind its mark, and what is open; in the middle the steps of
 * the work; on the right what belongs to the kitchen. Elsewhere the rooms stand in the open.
 */
export function TopBar({
  title,
  steps,
  children,
}: {
  /** what is open, where a piece of work is */
  title?: ReactNode;
  steps?: ReactNode;
  /** on the right */
  children?: ReactNode;
}) {
  useEarlyChoices();
  return (
    <header className="on-dark flex min-h-14 items-center gap-2 bg-bar px-3 text-white">
      {title === undefined ? (
        <>
          <Link
            href="/"
            className="flex min-h-11 shrink-0 items-center gap-2.5 rounded-md pr-2 pl-1"
            aria-label="Dark Pour, today"
          >
            <Mark className="h-6 w-5" />
            <span className="font-head text-[1.2rem] font-bold tracking-tight max-lg:sr-only">Dark Pour</span>
          </Link>
          <Rooms />
          <div className="ml-auto flex shrink-0 items-center gap-1">
            {children}
            <Light />
          </div>
        </>
      ) : (
        <>
          <RoomsMenu />
          <div className="flex min-w-0 flex-1 items-center">{title}</div>
          {steps}
          <div className="flex shrink-0 items-center justify-end gap-1 lg:flex-1">{children}</div>
        </>
      )}
    </header>
  );
}

/** The rooms in the open: the same on every page, drawn once. */
const Rooms = memo(function Rooms() {
  const path = usePathname();
  return (
    <nav aria-label="Rooms" className="thin-scroll flex min-w-0 overflow-x-auto overflow-y-hidden">
      {PLACES.map(({ href, name }) => (
        <Link
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          className="flex min-h-14 shrink-0 items-center border-transparent border-b-3 px-1.5 text-[#a9b6ba] hover:text-white aria-[current]:border-enamel-light lg:px-3 aria-[current]:font-semibold aria-[current]:text-white"
        >
          {name}
        </Link>
      ))}
    </nav>
  );
});

/** Day or night. */
const Light = memo(function Light() {
  const [theme, chooseTheme] = useTheme();
  return (
    <button
      type="button"
      onClick={() => chooseTheme(theme === 'day' ? 'night' : 'day')}
      aria-label={theme === 'day' ? 'Night theme' : 'Day theme'}
      className="flex size-11 shrink-0 items-center justify-center rounded-md hover:bg-white/10"
    >
      {theme === 'day' ? <Moon size={18} aria-hidden="true" /> : <Sun size={18} aria-hidden="true" />}
    </button>
  );
});

const ITEM = 'flex min-h-11 w-full items-center gap-3 px-4 text-left data-focus:bg-enamel-wash';

/** The rooms and the light behind the mark. */
const RoomsMenu = memo(function RoomsMenu() {
  const [theme, chooseTheme] = useTheme();
  return (
    <Menu as="div" className="relative shrink-0">
      <MenuButton
        aria-label="Dark Pour: rooms and light"
        className="flex h-11 items-center gap-1.5 rounded-md px-1.5 hover:bg-white/10"
      >
        <Mark className="h-6 w-5" />
        <ChevronDown size={15} className="text-[#a9b6ba]" aria-hidden="true" />
      </MenuButton>
      <MenuItems
        modal={false}
        className="absolute top-full left-0 z-40 mt-1 w-52 rounded-xl border border-rule bg-sheet py-1 text-ink shadow-xl focus:outline-none"
      >
        {PLACES.map(({ href, name }) => (
          <MenuItem key={href}>
            <Link className={ITEM} href={href}>
              {name}
            </Link>
          </MenuItem>
        ))}
        <MenuItem>
          <button
            type="button"
            className={`${ITEM} border-rule-soft border-t`}
            onClick={() => chooseTheme(theme === 'day' ? 'night' : 'day')}
          >
            {theme === 'day' ? <Moon size={16} aria-hidden="true" /> : <Sun size={16} aria-hidden="true" />}
            {theme === 'day' ? 'Night theme' : 'Day theme'}
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  );
});
