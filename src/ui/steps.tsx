import Link from 'next/link';

/** The steps of the work on one formula that are there to go to; a brief without a formula has no bench yet. */
export function Steps({
  at,
  id,
}: {
  at: 'brief' | 'balance' | 'method' | 'cook' | 'record' | 'serve';
  id: string | undefined;
}) {
  if (id === undefined) return null;
  const step = (name: string, here: boolean, href: string) => (
    <Link
      href={href}
      aria-current={here ? 'step' : undefined}
      className="flex min-h-14 items-center border-transparent border-b-3 px-2 text-[#a9b6ba] hover:text-white aria-[current]:border-enamel-light aria-[current]:font-semibold aria-[current]:text-white"
    >
      {name}
    </Link>
  );
  return (
    <nav aria-label="Steps" className="flex shrink-0">
      {step('Brief', at === 'brief', `/formulas/${id}/brief`)}
      {step('Balance', at === 'balance', `/formulas/${id}/balance`)}
      {step('Method', at === 'method', `/formulas/${id}/method`)}
      {step('Cook', at === 'cook', `/formulas/${id}/cook`)}
      {step('Record', at === 'record', `/formulas/${id}/record`)}
      {step('Serve', at === 'serve', `/formulas/${id}/serve`)}
    </nav>
  );
}
