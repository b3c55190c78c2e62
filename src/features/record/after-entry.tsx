import { useState } from 'react';
import { type Happening, LEFTOVER_FATES } from '@/formats/batch';
import { MOST_GRAMS } from '@/formats/formula-file';
import { Button } from '@/ui/button';
import { ByWhom } from '@/ui/by-whom';
import { choiceOf } from '@/ui/choice-of';
import { EntryForm } from '@/ui/entry-form';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { useTyped } from '@/ui/use-typed';

const GRAMS = { least: 0, most: MOST_GRAMS, unit: 'g', units: { g: 1, kg: 1000 }, example: '512' };
const FATE_WORDS = { putAway: 'put away', reheated: 'warmed again', thrown: 'thrown away' } as const;
const LONGEST_USE = 120;
const LONGEST_NOTE = 500;

/** Grams with some words or a choice before them, told by one press. */
function Entry({
  label,
  press,
  children,
  isReady,
  onGrams,
}: {
  label: string;
  press: string;
  children?: React.ReactNode;
  isReady: boolean;
  onGrams: (grams: number) => void;
}) {
  const [grams, setGrams] = useTyped<number | undefined>(label, undefined);
  const [made, setMade] = useState(0);
  const tell = () => {
    if (grams === undefined || !isReady) return;
    onGrams(grams);
    setGrams(undefined);
    setMade(made + 1);
  };
  return (
    <EntryForm className="mt-1 grid grid-cols-[minmax(0,1fr)_104px_auto] items-center gap-2" onEntry={tell}>
      {children ?? <span>{label}</span>}
      <NumberField
        key={made}
        label={`${label}: grams`}
        value={grams}
        optional
        rules={GRAMS}
        write={inlinePlain}
        placeholder="–"
        onValue={setGrams}
      />
      <Button type="submit" disabled={grams === undefined || !isReady} className="!px-3">
        {press}
      </Button>
    </EntryForm>
  );
}

/** What is written down once it is off the stove: how it went, what came of it, and a word. */
export function AfterEntry({ hasLanded, tell }: { hasLanded: boolean | undefined; tell: (what: Happening) => void }) {
  const [use, setUse] = useTyped('use', '');
  const [fate, setFate] = useTyped<(typeof LEFTOVER_FATES)[number]>('fate', 'putAway', LEFTOVER_FATES);
  const [note, setNote] = useTyped('note', '');
  const keepNote = () => {
    if (!note.trim()) return;
    tell({ kind: 'note', text: note.trim() });
    setNote('');
  };
  return (
    <section aria-label="Write down" className="mt-6">
      <h2 className="text-[1.2rem]">Write down</h2>
      <div className="mt-1 flex gap-2">
        {[true, false].map((each) => (
          <Button
            key={String(each)}
            className="min-h-12 flex-1"
            aria-pressed={hasLanded === each}
            look={hasLanded === each ? 'primary' : 'quiet'}
            onClick={() => tell({ kind: 'verdict', hasLanded: each })}
          >
            {each ? 'It landed' : 'It missed'}
          </Button>
        ))}
      </div>
      <Entry label="In the bowl" press="Add" isReady onGrams={(grams) => tell({ kind: 'poured', grams })} />
      <Entry
        label="Used for"
        press="Add"
        isReady={use.trim() !== ''}
        onGrams={(grams) => {
          tell({ kind: 'used', what: use.trim(), grams });
          setUse('');
        }}
      >
        <input
          aria-label="Used for"
          className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-3"
          placeholder="used for…"
          value={use}
          maxLength={LONGEST_USE}
          onChange={(event) => setUse(event.target.value)}
        />
      </Entry>
      <Entry label="What was left" press="Add" isReady onGrams={(grams) => tell({ kind: 'leftover', fate, grams })}>
        <select
          aria-label="What became of the rest"
          className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-2"
          value={fate}
          onChange={(event) => setFate(choiceOf(LEFTOVER_FATES, event.target.value) ?? fate)}
        >
          {LEFTOVER_FATES.map((each) => (
            <option key={each} value={each}>
              {FATE_WORDS[each]}
            </option>
          ))}
        </select>
      </Entry>
      <EntryForm className="mt-1 grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2" onEntry={keepNote}>
        <input
          aria-label="A note"
          className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-3"
          placeholder="a note…"
          value={note}
          maxLength={LONGEST_NOTE}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button type="submit" disabled={!note.trim()} className="!px-3">
          Note it
        </Button>
      </EntryForm>
      <ByWhom />
    </section>
  );
}
