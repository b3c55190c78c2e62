import Link from 'next/link';
import { TopBar } from '@/ui/top-bar';

export default function NotFound() {
  return (
    <>
      <TopBar />
      <main className="mx-auto max-w-xl px-6 py-16">
        <h1 className="mb-2 text-[1.8rem]">Not in this kitchen</h1>
        <p className="mb-6 text-mute">
          There is no such page or formula here. If it was deleted a moment ago, the list can still bring it back.
        </p>
        <Link href="/formulas" className="font-semibold text-enamel underline">
          All formulas
        </Link>
      </main>
    </>
  );
}
