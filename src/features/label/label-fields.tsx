import type { LabelQuery } from '@/formats/label';
import { SHELF_PLACES } from '@/formats/shelf';
import type { LabelContent } from '@/kitchen/label/label-content';
import { PLACE_WORDS } from '@/kitchen/words/keeping-words';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { fixed } from '@/ui/settings/numerals';
import { Tick } from '@/ui/tick';

const GRAMS = { least: 1, most: 100_000, unit: 'g', units: { g: 1, kg: 1000 }, example: '200' };
const PORTION = { least: 1, most: 5000, unit: 'g', units: { g: 1, kg: 1000 }, example: '30' };
const US_FIELDS = [
  ['transG', 'Trans fat in a portion', inlineRules([0, 100], 'g', '0')],
  ['cholesterolMg', 'Cholesterol in a portion', inlineRules([0, 10_000], 'mg', '15')],
  ['addedSugarsG', 'Added sugars in a portion', inlineRules([0, 1000], 'g', '9')],
] as const;
const COUNT = inlineRules([1, 240], '', '24');
const BOX = 'h-11 min-w-0 rounded-lg border border-rule bg-field px-2';
const SIZE_WORDS = { best: 'the smallest that holds it', jar: 'jar', tub: 'tub', shelf: 'shelf edge' } as const;
const SCHOOL_WORDS = { eu: 'EU-style', us: 'US-style' } as const;

/** What is asked of a label; each change draws it anew. */
export function LabelFields({
  query,
  byLarder,
  onSay: say,
}: {
  query: LabelQuery;
  byLarder: LabelContent['byLarder'];
  onSay: (change: Partial<LabelQuery>) => void;
}) {
  const choice = <Key extends 'size' | 'school' | 'place'>(
    label: string,
    key: Key,
    options: readonly LabelQuery[Key][],
    words: Readonly<Record<LabelQuery[Key], string>>,
  ) => (
    <label className="grid grid-cols-[minmax(0,1fr)_170px] items-center gap-2">
      {label}
      <select
        className={BOX}
        value={query[key]}
        onChange={(event) => {
          const chosen = options.find((each) => each === event.target.value);
          if (chosen) say({ [key]: chosen });
        }}
      >
        {options.map((each) => (
          <option key={each} value={each}>
            {words[each]}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <>
      {choice('Size', 'size', ['best', 'jar', 'tub', 'shelf'], SIZE_WORDS)}
      {choice('Figures as', 'school', ['eu', 'us'], SCHOOL_WORDS)}
      {choice('Keep', 'place', SHELF_PLACES, PLACE_WORDS)}
      <Row label="Net weight">
        <NumberField
          label="Net weight"
          value={query.netG}
          optional
          rules={GRAMS}
          write={inlinePlain}
          placeholder="–"
          onValue={(netG) => say({ netG })}
        />
      </Row>
      <Row label="A portion">
        <NumberField
          label="Portion"
          value={query.portionG}
          rules={PORTION}
          write={inlinePlain}
          placeholder="30"
          onValue={(portionG) => say({ portionG })}
        />
      </Row>
      {query.school === 'us' && <UsFields query={query} byLarder={byLarder} onSay={say} />}
      <Row label="How many">
        <NumberField
          label="How many"
          value={query.count}
          rules={COUNT}
          write={inlinePlain}
          placeholder="1"
          onValue={(count) => say({ count: Math.round(count ?? 1) })}
        />
      </Row>
      <label className="grid grid-cols-[minmax(0,1fr)_170px] items-center gap-2">
        Use by, as you set it
        <input
          type="date"
          className={BOX}
          value={query.useBy ?? ''}
          onChange={(event) => say({ useBy: event.target.value || undefined })}
        />
      </label>
      <Tick
        label="Nutrition on it"
        isOn={query.nutrition === 'yes'}
        onTick={(is) => say({ nutrition: is ? 'yes' : 'no' })}
      />
      <Tick label="QR code" isOn={query.code === 'yes'} onTick={(is) => say({ code: is ? 'yes' : 'no' })} />
    </>
  );
}

/** What the United States ask for and no component says; the larder's figure stands in an empty field. */
function UsFields({
  query,
  byLarder,
  onSay,
}: {
  query: LabelQuery;
  byLarder: LabelContent['byLarder'];
  onSay: (change: Partial<LabelQuery>) => void;
}) {
  const known = (key: (typeof US_FIELDS)[number][0]) => {
    const sum = key === 'addedSugarsG' ? undefined : byLarder[key];
    return sum && 'amount' in sum ? fixed(sum.amount, 1) : undefined;
  };
  return US_FIELDS.map(([key, label, rules]) => (
    <Row key={key} label={label} note={known(key) && query[key] === undefined ? 'from the larder' : undefined}>
      <NumberField
        label={label}
        value={query[key]}
        optional
        rules={rules}
        write={inlinePlain}
        placeholder={known(key) ?? 'not known'}
        onValue={(value) => onSay({ [key]: value })}
      />
    </Row>
  ));
}

function Row({ label, note, children }: { label: string; note?: string | undefined; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_170px] items-center gap-2">
      <span>
        {label}
        {note && <span className="block text-[13px] text-mute">{note}</span>}
      </span>
      {children}
    </div>
  );
}
