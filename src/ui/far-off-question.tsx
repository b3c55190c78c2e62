import { Button } from './button';

/** Asks about a reading that lies far off all that is believed, before it counts. */
export function FarOffQuestion({ onSure, onAgain }: { onSure: () => void; onAgain: () => void }) {
  return (
    <div role="alert" className="mt-2 rounded-lg bg-near-wash px-3 py-2">
      <p>That is far off all that this kitchen has shown. Read it once more, or is it so?</p>
      <div className="mt-1 flex gap-2">
        <Button onClick={onSure}>It is so</Button>
        <Button look="bare" onClick={onAgain}>
          Type it again
        </Button>
      </div>
    </div>
  );
}
