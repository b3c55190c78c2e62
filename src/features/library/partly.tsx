/** Says that the rest of a big kitchen's formulas is still to come. */
export function Partly({ count, fault, onAgain }: { count: number; fault: string | undefined; onAgain: () => void }) {
  return (
    <p role="status" className="mb-3 text-[14px] text-mute">
      {fault ? (
        <>
          Only the {count} last changed are here. {fault}{' '}
          <button type="button" className="min-h-11 font-semibold text-enamel underline" onClick={onAgain}>
            Try again
          </button>
        </>
      ) : (
        `The ${count} last changed; the others are being fetched…`
      )}
    </p>
  );
}
