import { ClipboardPaste, FileDown, Plus, Search } from 'lucide-react';
import { Button } from '@/ui/button';
import { NewBrief } from './new-brief';
import { ARCHIVE, type FoundFormulas } from './use-found-formulas';

/** What can be done with the list: searched, sorted, added to, taken along. */
export function LibraryTools({
  found: { query, setQuery, tag, setTag, tags, archived },
  isEmpty,
  onRecipe,
  onSave,
  onNew,
}: {
  found: FoundFormulas;
  isEmpty: boolean;
  onRecipe: () => void;
  onSave: () => void;
  onNew: () => void;
}) {
  return (
    <div className="mb-2 flex flex-wrap items-center gap-3">
      <h1 className="mr-auto text-[1.9rem]">Formulas</h1>
      {!isEmpty && (
        <label className="relative block w-full max-w-xs">
          <span className="sr-only">Search the formulas</span>
          <Search size={18} className="absolute top-3 left-3 text-mute" aria-hidden="true" />
          <input
            type="search"
            className="h-11 w-full rounded-lg border border-rule bg-field pr-3 pl-10"
            placeholder="Name, use or ingredient"
            value={query}
            onChange={(event) => setQuery(event.target.value)}
          />
        </label>
      )}
      {(tags.length > 0 || archived > 0) && (
        <select
          aria-label="Show"
          className="h-11 rounded-lg border border-rule bg-field px-2"
          value={tag}
          onChange={(event) => setTag(event.target.value)}
        >
          <option value="">all</option>
          {tags.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
          {archived > 0 && <option value={ARCHIVE}>archive ({archived})</option>}
        </select>
      )}
      <Button onClick={onRecipe}>
        <ClipboardPaste size={17} aria-hidden="true" /> From a recipe
      </Button>
      {!isEmpty && (
        <Button onClick={onSave}>
          <FileDown size={17} aria-hidden="true" /> All as a file
        </Button>
      )}
      <Button onClick={onNew}>
        <Plus size={18} aria-hidden="true" /> New formula
      </Button>
      <NewBrief />
    </div>
  );
}
