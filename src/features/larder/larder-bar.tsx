import { FileDown, FileUp, Plus } from 'lucide-react';
import { useRef } from 'react';
import { Button } from '@/ui/button';

/** Reads a CSV in, writes one out, begins an ingredient. */
export function LarderBar({
  canImport,
  onFile,
  onNew,
}: {
  /** all rows are there, so that what is in the larder already is known */
  canImport: boolean;
  onFile: (file: File) => void;
  onNew: () => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      <h1 className="mr-auto text-[1.9rem]">Larder</h1>
      <Button disabled={!canImport} onClick={() => input.current?.click()}>
        <FileUp size={17} aria-hidden="true" /> Import
      </Button>
      <a
        href="/api/larder"
        className="inline-flex min-h-11 items-center gap-2 rounded-lg border border-rule bg-sheet px-4 font-medium hover:border-mute"
      >
        <FileDown size={17} aria-hidden="true" /> Export
      </a>
      <Button look="primary" onClick={onNew}>
        <Plus size={18} aria-hidden="true" /> New ingredient
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,.txt,text/csv"
        className="hidden"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) onFile(file);
        }}
        data-testid="larder-file"
        aria-label="Larder file"
      />
    </div>
  );
}
