import { FileDown } from 'lucide-react';
import Link from 'next/link';
import { Sheet } from '@/ui/sheet';

/** Says what the file of all formulas holds and leaves out, and saves it. */
export function AllAsFile({ onClose }: { onClose: () => void }) {
  return (
    <Sheet title="All formulas as a file" onClose={onClose}>
      <p className="mb-2">
        Every formula, those put away too, which is a variant of which, and the own ingredients they use. Opened again,
        here or in another kitchen, it is recognised: nothing is doubled without asking.
      </p>
      <p className="mb-4 text-mute">
        It leaves out versions, the rest of the larder with its prices and stock, and the settings. A{' '}
        <Link href="/settings" className="text-enamel underline">
          backup
        </Link>{' '}
        has everything.
      </p>
      <a
        href="/api/library"
        onClick={onClose}
        className="inline-flex min-h-11 items-center gap-2 rounded-lg bg-enamel px-4 font-semibold text-sheet hover:bg-enamel-deep"
      >
        <FileDown size={17} aria-hidden="true" /> Save the file
      </a>
    </Sheet>
  );
}
