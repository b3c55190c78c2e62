import { FileUp, Plus } from 'lucide-react';
import { Button } from '@/ui/button';
import { NewBrief } from './new-brief';

/** A kitchen without formulas: how to begin. */
export function EmptyLibrary({ onNew, onFile }: { onNew: () => void; onFile: () => void }) {
  return (
    <section className="mx-auto max-w-2xl rounded-2xl border border-rule bg-sheet px-8 py-10">
      <h2 className="mb-2 text-[1.5rem]">Your first formula</h2>
      <p className="mb-5 text-mute">
        Say what it must do, weigh what you use today into the pan, and see how it will pour, set, shine and keep before
        anything is melted. The larder is full already: 162 typical ingredients.
      </p>
      <ol className="mb-6 list-decimal space-y-1.5 pl-5">
        <li>Write a brief: what it must do and for how many. That sets the gates and the amount.</li>
        <li>Start from what is proposed, or add your own recipe, in grams.</li>
        <li>Press Balance: it moves as little as it can until the curve passes.</li>
      </ol>
      <div className="flex flex-wrap gap-2">
        <NewBrief />
        <Button onClick={onNew}>
          <Plus size={18} aria-hidden="true" /> Start a formula
        </Button>
        <Button onClick={onFile}>
          <FileUp size={18} aria-hidden="true" /> Open a formula file
        </Button>
      </div>
    </section>
  );
}
