import { LONGEST_BY } from '@/kitchen/cook/by-whom';
import { useByWhom } from './use-by-whom';

/** Who works at this tablet: a name typed once, written beside everything it tells. */
export function ByWhom() {
  const [name, setName] = useByWhom();
  return (
    <label className="flex min-h-11 items-center gap-3">
      <span className="flex-1">By whom</span>
      <input
        aria-label="By whom"
        className="h-11 w-40 rounded-lg border border-rule bg-field px-3"
        value={name}
        maxLength={LONGEST_BY}
        placeholder="nobody said"
        autoComplete="off"
        onChange={(event) => setName(event.target.value)}
      />
    </label>
  );
}
