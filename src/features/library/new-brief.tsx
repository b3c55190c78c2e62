import { ClipboardList } from 'lucide-react';
import Link from 'next/link';

/** The way most work begins: what must it do, and for how many. */
export function NewBrief() {
  return (
    <Link
      href="/brief"
      className="inline-flex min-h-11 items-center gap-2 rounded-lg bg-enamel px-4 font-semibold text-sheet hover:bg-enamel-deep"
    >
      <ClipboardList size={18} aria-hidden="true" /> New brief
    </Link>
  );
}
