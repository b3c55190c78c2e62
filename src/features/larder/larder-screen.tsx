'use client';

import { FileDown, FileUp, Plus, Search } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type ChangeEvent, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { inOrder } from '@/core/matter/allergens';
import { INGREDIENT_GROUPS, type Ingredient, type StoredIngredient } from '@/formats/ingredient';
import { addIngredient, removeIngredient, saveIngredient } from '@/kitchen/client/larder';
import { fetchLarder } from '@/kitchen/client/shelf';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { Button, Key } from '@/ui/button';
import { IngredientForm } from '@/ui/ingredient/ingredient-form';
import { BLANK } from '@/ui/ingredient/ingredient-values';
import { Sheet } from '@/ui/sheet';
import { TopBar } from '@/ui/top-bar';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { ImportSheet } from './import-sheet';
import { IngredientSheet } from './ingredient-sheet';
import { EVERYTHING, filterRows, rowOf } from './larder-rows';
import { LarderTable } from './larder-table';
import { useLarderImport } from './use-larder-import';

/** What lies over the table. */
type Over =
  | { readonly what: 'detail'; readonly id: string }
  | { readonly what: 'edit'; readonly id: string }
  | { readonly what: 'new'; readonly start: Omit<Ingredient, 'id' | 'origin'> };

/** The larder: every ingredient, searched and filtered, looked into, added, changed, read from and written to CSV. */
export function LarderScreen({ carried }: { carried: Carried<StoredIngredient> }) {
  useRefreshOnReturn();
  const { rows: ingredients, isWhole, fault, again } = useWhole(carried, fetchLarder);
  const router = useRouter();
  const [filter, setFilter] = useState(EVERYTHING);
  const [over, setOver] = useState<Over | undefined>();
  const [said, setSaid] = useState<string | undefined>();
  const fileInput = useRef<HTMLInputElement>(null);
  const search = useRef<HTMLInputElement>(null);
  const importing = useLarderImport(ingredients, () => router.refresh());
  useHotkeys('/', () => search.current?.focus(), { useKey: true, ignoreModifiers: true, preventDefault: true });

  const rows = useMemo(() => ingredients.map(rowOf), [ingredients]);
  const found = useMemo(() => filterRows(rows, filter), [rows, filter]);
  const allergens = useMemo(
    () => inOrder(rows.flatMap(({ contents }) => [...contents.contains, ...contents.mayContain])),
    [rows],
  );
  const opened = over && 'id' in over ? ingredients.find(({ id }) => id === over.id) : undefined;

  const done = (text: string) => {
    setOver(undefined);
    setSaid(text);
    router.refresh();
  };
  const readFile = (event: ChangeEvent<HTMLInputElement>) => {
    const [file] = event.target.files ?? [];
    event.target.value = '';
    if (file) void importing.read(file);
  };

  return (
    <div className="flex h-screen flex-col">
      <TopBar />
      <main className="mx-auto flex min-h-0 w-full max-w-[1240px] flex-1 flex-col px-5 pt-5 pb-4">
        <div className="mb-3 flex flex-wrap items-center gap-2">
          <h1 className="mr-auto text-[1.9rem]">Larder</h1>
          <Button disabled={!isWhole} onClick={() => fileInput.current?.click()}>
            <FileUp size={17} aria-hidden="true" /> Import
          </Button>
          <a
            href="/api/larder"
            className="inline-flex min-h-11 items-center gap-2 rounded-lg border border-rule bg-sheet px-4 font-medium hover:border-mute"
          >
            <FileDown size={17} aria-hidden="true" /> Export
          </a>
          <Button look="primary" onClick={() => setOver({ what: 'new', start: BLANK })}>
            <Plus size={18} aria-hidden="true" /> New ingredient
          </Button>
          <input
            ref={fileInput}
            type="file"
            accept=".csv,.txt,text/csv"
            className="hidden"
            onChange={readFile}
            data-testid="larder-file"
            aria-label="Larder file"
          />
        </div>
        <div className="mb-3 flex flex-wrap items-center gap-2">
          <label className="relative block w-full max-w-72">
            <span className="sr-only">Search the larder</span>
            <Search size={18} className="absolute top-3 left-3 text-mute" aria-hidden="true" />
            <input
              ref={search}
              type="search"
              className="h-11 w-full rounded-lg border border-rule bg-field pr-9 pl-10"
              placeholder="Name, note, allergen"
              value={filter.query}
              onChange={(event) => setFilter({ ...filter, query: event.target.value })}
            />
            <span className="pointer-events-none absolute top-2.5 right-3 text-mute">
              <Key>/</Key>
            </span>
          </label>
          <Choice
            label="Group"
            value={filter.group}
            none="all groups"
            options={INGREDIENT_GROUPS}
            onChoose={(group) => setFilter({ ...filter, group })}
          />
          <Choice
            label="Without"
            value={filter.without}
            none="any allergens"
            options={allergens}
            before="without "
            onChoose={(without) => setFilter({ ...filter, without })}
          />
          <Toggle label="vegan" on={filter.vegan} onToggle={(vegan) => setFilter({ ...filter, vegan })} />
          <Toggle label="own" on={filter.own} onToggle={(own) => setFilter({ ...filter, own })} />
          <span className="ml-auto text-[13.5px] text-mute" role="status">
            {said ? `${said} ` : ''}
            {!isWhole && (fault ? `${fault} ` : 'The rest is being fetched… ')}
            {fault && (
              <button type="button" className="min-h-11 font-semibold text-enamel underline" onClick={again}>
                Try again
              </button>
            )}
            {found.length === rows.length ? `${rows.length} ingredients` : `${found.length} of ${rows.length}`}
          </span>
        </div>
        {found.length === 0 ? (
          <p className="py-10 text-mute">
            Nothing in the larder is like that.{' '}
            <button type="button" className="font-semibold text-enamel underline" onClick={() => setFilter(EVERYTHING)}>
              Show all {rows.length}
            </button>
          </p>
        ) : (
          <LarderTable rows={found} onOpen={(id) => setOver({ what: 'detail', id })} />
        )}
      </main>
      {over?.what === 'detail' && opened && (
        <IngredientSheet
          key={`${opened.id} ${opened.revision}`}
          ingredient={opened}
          onClose={() => setOver(undefined)}
          onEdit={() => setOver({ what: 'edit', id: opened.id })}
          onCopy={() => setOver({ what: 'new', start: { ...opened, name: `${opened.name}, own` } })}
          onRemove={async () => {
            await removeIngredient(opened.id);
            done(`“${opened.name}” is out.`);
          }}
          onKeep={async (ingredient) => {
            await saveIngredient(ingredient, opened.revision);
            router.refresh();
          }}
        />
      )}
      {over?.what === 'edit' && opened && (
        <Sheet
          title={`Change ${opened.name}`}
          width="wide"
          asksFirst
          onClose={() => setOver({ what: 'detail', id: opened.id })}
        >
          <IngredientForm
            id={opened.id}
            start={opened}
            typical={ingredients}
            onKeep={async (ingredient) => {
              await saveIngredient(ingredient, opened.revision);
              done(`“${ingredient.name}” is changed.`);
            }}
            onCancel={() => setOver({ what: 'detail', id: opened.id })}
          />
        </Sheet>
      )}
      {over?.what === 'new' && (
        <Sheet title="New ingredient" width="wide" asksFirst onClose={() => setOver(undefined)}>
          <IngredientForm
            id=""
            start={over.start}
            typical={ingredients}
            onKeep={async (ingredient) => {
              await addIngredient(ingredient);
              done(`“${ingredient.name}” is in.`);
            }}
            onCancel={() => setOver(undefined)}
          />
        </Sheet>
      )}
      <ImportSheet importing={importing} />
    </div>
  );
}

function Choice<Value extends string>({
  label,
  value,
  none,
  options,
  before = '',
  onChoose,
}: {
  label: string;
  value: Value | '';
  none: string;
  options: readonly Value[];
  before?: string;
  onChoose: (value: Value | '') => void;
}) {
  return (
    <select
      aria-label={label}
      className="h-11 rounded-lg border border-rule bg-field px-2"
      value={value}
      onChange={(event) => onChoose(options.find((option) => option === event.target.value) ?? '')}
    >
      <option value="">{none}</option>
      {options.map((option) => (
        <option key={option} value={option}>
          {before}
          {option}
        </option>
      ))}
    </select>
  );
}

function Toggle({ label, on, onToggle }: { label: string; on: boolean; onToggle: (on: boolean) => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={() => onToggle(!on)}
      className="min-h-11 rounded-lg border border-rule bg-field px-4 aria-pressed:border-enamel aria-pressed:bg-enamel-wash aria-pressed:font-semibold aria-pressed:text-enamel"
    >
      {label}
    </button>
  );
}
