'use client';

import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { MoreHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { RESCUE_NAME } from '@/kitchen/words/rescue-words';

const AFTER_MENU_MS = 50;

/** What else can be done with a formula: versions, variants, tags, and the forms it goes out in. */
export function BenchMenu({
  id,
  isVariant,
  onSheet,
}: {
  id: string;
  isVariant: boolean;
  onSheet: (sheet: 'versions' | 'variants' | 'tags') => void;
}) {
  // The menu gives the focus back to its button first: the sheet then takes it from there, and gives it back there.
  const open = (sheet: Parameters<typeof onSheet>[0]) => setTimeout(() => onSheet(sheet), AFTER_MENU_MS);
  return (
    <Menu as="div" className="relative">
      <MenuButton
        aria-label="More of this formula"
        className="flex size-11 items-center justify-center rounded-md hover:bg-white/10"
      >
        <MoreHorizontal size={20} aria-hidden="true" />
      </MenuButton>
      <MenuItems
        modal={false}
        className="absolute top-full right-0 z-40 mt-1 w-64 rounded-xl border border-rule bg-sheet py-1 text-ink shadow-xl focus:outline-none"
      >
        <MenuLink href={`/formulas/${id}/brief`}>Brief…</MenuLink>
        <MenuLink href={`/brief?from=${id}`}>Make this for…</MenuLink>
        <MenuLink href={`/rescue?formula=${id}`}>{RESCUE_NAME}</MenuLink>
        <MenuAction onClick={() => open('versions')}>Versions…</MenuAction>
        <MenuAction onClick={() => open('variants')}>{isVariant ? 'Base and variants…' : 'Variants…'}</MenuAction>
        <MenuAction onClick={() => open('tags')}>Tags…</MenuAction>
        <MenuLink href={`/formulas/${id}/card`}>Bench card, to print</MenuLink>
        <MenuLink href={`/api/formulas/${id}/card`}>Bench card, PDF</MenuLink>
        <MenuLink href={`/api/formulas/${id}/file`}>Formula file (JSON)</MenuLink>
        <MenuLink href={`/api/formulas/${id}/file?as=recipe`}>Recipe (JSON-LD)</MenuLink>
        <MenuLink href={`/api/formulas/${id}/file?as=csv`}>Rows (CSV)</MenuLink>
      </MenuItems>
    </Menu>
  );
}

const ITEM = 'flex min-h-11 w-full items-center px-4 text-left data-focus:bg-enamel-wash';

function MenuAction({ onClick, children }: { onClick: () => void; children: ReactNode }) {
  return (
    <MenuItem>
      <button type="button" className={ITEM} onClick={onClick}>
        {children}
      </button>
    </MenuItem>
  );
}

function MenuLink({ href, children }: { href: string; children: ReactNode }) {
  return (
    <MenuItem>
      <a className={ITEM} href={href}>
        {children}
      </a>
    </MenuItem>
  );
}
