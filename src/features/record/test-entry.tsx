import { useState } from 'react';
import { keysOf } from '@/core/keys-of';
import { isGross } from '@/core/learn/kitchen';
import { readTest, TEST_SE, type TestReading } from '@/core/learn/kitchen-tests';
import { KITCHEN_PRIOR } from '@/core/learn/learnt';
import type { Batch } from '@/core/predict/state';
import { type FileTest, type KnowledgeAnswer, kitchenTestSchema, type TestKind } from '@/formats/kitchen-test';
import { TEST_WORDS, tongueAgainst } from '@/kitchen/words/test-words';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';
import { FarOffQuestion } from '@/ui/far-off-question';
import { percent } from '@/ui/format';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { PhotoRingButton } from '@/ui/photo/photo-ring-button';
import { TestPicture } from '@/ui/test-picture';
import { useTyped } from '@/ui/use-typed';
import { TEST_FIELDS, type TestDraft, testOf } from './test-fields';

const BOX = 'h-11 min-w-0 rounded-lg border border-rule bg-field px-2';

const NO_READING: TestDraft = { seconds: '30' };

/** A kitchen test chosen, shown and typed in; one far off all that is believed is asked about first. */
export function TestEntry({
  batch,
  knowledge,
  onTest,
}: {
  /** as the book reckons it; nothing while nothing is in it */
  batch: Batch | undefined;
  knowledge: KnowledgeAnswer | undefined;
  onTest: (test: FileTest) => void;
}) {
  const [kind, setKind] = useTyped<TestKind>('test', 'ring', keysOf(TEST_WORDS));
  const [drafts, setDrafts] = useTyped<Partial<Record<TestKind, TestDraft>>>('readings', {});
  const draft = drafts[kind] ?? NO_READING;
  const setDraft = (next: TestDraft) => setDrafts({ ...drafts, [kind]: next });
  const [asked, setAsked] = useState<FileTest | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  /** tests told so far: fields begin anew after each */
  const [made, setMade] = useState(0);
  const test = testOf(kind, draft);
  const take = (sure: FileTest) => {
    onTest(sure);
    setDraft(NO_READING);
    setMade(made + 1);
    setAsked(undefined);
    setFault(undefined);
  };
  const tell = () => {
    if (!test) return;
    const read = kitchenTestSchema.safeParse(test);
    if (!read.success) {
      setFault(read.error.issues[0]?.message);
      return;
    }
    const reading = batch && readTest(batch, read.data);
    if (reading && isGross(reading, knowledge?.knowledge.offsets[reading.about] ?? KITCHEN_PRIOR[reading.about])) {
      setAsked(read.data);
    } else take(read.data);
  };
  return (
    <section aria-label="Kitchen test" className="mt-6">
      <h2 className="text-[1.2rem]">A kitchen test</h2>
      <select
        aria-label="Which test"
        className={`${BOX} mt-1 w-full`}
        value={kind}
        onChange={(event) => {
          setKind(keysOf(TEST_WORDS).find((each) => each === event.target.value) ?? kind);
          // What was typed of another test stays with it.
          setAsked(undefined);
        }}
      >
        {keysOf(TEST_WORDS).map((each) => (
          <option key={each} value={each}>
            {TEST_WORDS[each].name}
          </option>
        ))}
      </select>
      <div className="mt-2 flex gap-3">
        <TestPicture test={kind} />
        <p className="text-[13.5px] text-mute">
          {TEST_WORDS[kind].how} {worth(kind)}
        </p>
      </div>
      <EntryForm className="mt-2 grid gap-2" onEntry={tell}>
        <TestFields key={made} kind={kind} draft={draft} onDraft={setDraft} />
        {kind === 'ring' && (
          <PhotoRingButton
            onRing={({ diameterMm }) => {
              setDraft({ ...draft, diameterMm });
              setMade(made + 1);
            }}
          />
        )}
        {test && batch && <Against reading={readTest(batch, test)} tongue={tongueAgainst(batch, test)} />}
        {fault && (
          <p role="alert" className="text-off">
            {fault}
          </p>
        )}
        {asked && <FarOffQuestion onSure={() => take(asked)} onAgain={() => setAsked(undefined)} />}
        <Button type="submit" disabled={!test || asked !== undefined}>
          Into the book
        </Button>
      </EntryForm>
    </section>
  );
}

/** How much one reading of a test is worth. */
function worth(kind: TestKind): string {
  const se = TEST_SE[kind];
  if (se === undefined) return 'It is held against the book; figures are not moved by it.';
  if (kind === 'lamp') return 'One reading tells little; three of them something.';
  return `One reading is worth about ±\u00a0${percent(Math.exp(se) - 1)}.`;
}

/** What is asked of a test, a line each. */
function TestFields({
  kind,
  draft,
  onDraft,
}: {
  kind: TestKind;
  draft: TestDraft;
  onDraft: (draft: TestDraft) => void;
}) {
  return TEST_FIELDS[kind].map((field) => (
    <div key={`${kind} ${field.key}`} className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2">
      <span>{field.label}</span>
      {'rules' in field ? (
        <NumberField
          label={field.label}
          value={typeof draft[field.key] === 'number' ? Number(draft[field.key]) : undefined}
          optional
          rules={field.rules}
          write={inlinePlain}
          placeholder="–"
          onValue={(value) => onDraft({ ...draft, [field.key]: value })}
        />
      ) : (
        <select
          aria-label={field.label}
          className={BOX}
          value={String(draft[field.key] ?? '')}
          onChange={(event) => onDraft({ ...draft, [field.key]: event.target.value })}
        >
          <option value="">–</option>
          {field.options.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      )}
    </div>
  ));
}

/** What is typed held against the book, at once. */
function Against({ reading, tongue }: { reading: TestReading | undefined; tongue: string | undefined }) {
  if (tongue) {
    return (
      <p role="status" className="text-mute" data-testid="against-the-book">
        {tongue}
      </p>
    );
  }
  if (!reading) return <p className="text-mute">The book has no figure to hold that against.</p>;
  const share = Math.exp(reading.residual) - 1;
  return (
    <p role="status" className="text-mute" data-testid="against-the-book">
      {Math.abs(reading.residual) < 0.03
        ? 'Just what the book says.'
        : reading.about === 'shine'
          ? reading.residual > 0
            ? 'It shines more than the book says.'
            : 'It shines less than the book says.'
          : `${percent(Math.abs(share))} ${share > 0 ? 'more' : 'less'} than the book says.`}
    </p>
  );
}
