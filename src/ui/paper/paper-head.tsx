import { Printer } from 'lucide-react';
import Link from 'next/link';
import { Button } from '../button';

const LINK = 'inline-flex min-h-11 items-center rounded-lg border border-[#c9d2d4] px-4 font-medium text-black';

/** What stands over a page of paper on the screen, and not on the paper: print it, have it as a PDF, go back. */
export function PaperHead({ pdf, back, to }: { pdf: string; back: string; to: string }) {
  return (
    <div className="no-print mb-6 flex flex-wrap gap-2 text-ink">
      <Button look="primary" onClick={() => window.print()}>
        <Printer size={17} aria-hidden="true" /> Print
      </Button>
      <a href={pdf} className={LINK}>
        PDF
      </a>
      <Link href={to} className={LINK}>
        {back}
      </Link>
    </div>
  );
}
