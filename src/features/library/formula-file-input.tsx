import { FileUp } from 'lucide-react';
import type { RefObject } from 'react';
import { Button } from '@/ui/button';

/** Opens a file of formulas, or of a recipe. */
export function FormulaFileInput({
  input,
  onFile,
}: {
  input: RefObject<HTMLInputElement | null>;
  onFile: (file: File) => void;
}) {
  return (
    <>
      <Button look="bare" className="ml-auto !text-white hover:!bg-white/10" onClick={() => input.current?.click()}>
        <FileUp size={18} aria-hidden="true" /> Open a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,.jsonld,.csv,.txt,.html,.htm,application/json"
        className="hidden"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
        data-testid="formula-file"
        aria-label="Formula file"
      />
    </>
  );
}
