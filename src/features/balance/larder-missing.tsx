/** Of a big larder only what is in the pan came with the page. */
export function LarderMissing({ fault, onAgain }: { fault: string; onAgain: () => void }) {
  return (
    <p role="alert" className="bg-near-wash px-4 py-1 text-[14px]">
      The rest of the larder is not here yet. {fault}{' '}
      <button type="button" className="min-h-11 font-semibold text-enamel underline" onClick={onAgain}>
        Try again
      </button>
    </p>
  );
}
