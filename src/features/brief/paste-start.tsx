import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { createFormula } from '@/kitchen/client/formulas';
import { Button } from '@/ui/button';

const RecipeSheet = dynamic(() => import('@/ui/recipe/recipe-sheet').then(({ RecipeSheet }) => RecipeSheet));

/** Judges a recipe of the cook's own beside the other starts: it becomes a formula of the kitchen. */
export function PasteStart({ onMade }: { onMade: (id: string) => void }) {
  const router = useRouter();
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <Button look="bare" className="mt-2 w-full" onClick={() => setIsOpen(true)}>
        Paste a recipe of your own
      </Button>
      {isOpen && (
        <RecipeSheet
          start=""
          onClose={() => setIsOpen(false)}
          onCreate={async (formula) => {
            onMade(await createFormula(formula));
            setIsOpen(false);
            router.refresh();
          }}
        />
      )}
    </>
  );
}
