import { keysOf } from '@/core/keys-of';
import { LAMP_SHINE, type LampSeen } from '@/core/learn/lamp';
import { FELT, TASTED } from '@/core/learn/tongue';
import { type FileTest, TEST_REACH, type TestKind } from '@/formats/kitchen-test';
import { FELT_WORDS, LAMP_WORDS, TASTED_WORDS } from '@/kitchen/words/test-words';
import { inlineRules } from '@/ui/inline-rules';
import { LANDMARKS } from '@/ui/landmarks';
import type { AmountRules } from '@/ui/parse-amount';

/** What is typed or chosen for a test, by name. */
export type TestDraft = Readonly<Record<string, number | string | undefined>>;

/** A number or a choice a test asks for. */
export type TestField =
  | { readonly key: string; readonly label: string; readonly rules: AmountRules }
  | { readonly key: string; readonly label: string; readonly options: readonly (readonly [string, string])[] };

const number = (
  key: keyof typeof TEST_REACH,
  label: string,
  unit: string,
  example: string,
  as: string = key,
): TestField => ({
  key: as,
  label,
  rules: inlineRules(TEST_REACH[key], unit, example),
});
const warm = number('temperatureC', 'Read at', '°C', '36');
const cold = number('temperatureC', 'It is at', '°C', '5');
const hours = number('hours', 'Poured so long ago', 'h', '12');
const depth = number('depthMm', 'How deep', 'mm', '11');

/** Fields of each test, in the order a cook reads them off. */
export const TEST_FIELDS: Readonly<Record<TestKind, readonly TestField[]>> = {
  ring: [
    number('diameterMm', 'Across', 'mm', '92'),
    warm,
    {
      key: 'seconds',
      label: 'After',
      options: [
        ['30', '30 s'],
        ['180', '3 min'],
      ],
    },
  ],
  film: [number('mm', 'How thick', 'mm', '2'), warm],
  spoonLine: [
    {
      key: 'holds',
      label: 'The line',
      options: [
        ['yes', 'stays'],
        ['no', 'runs shut'],
      ],
    },
    warm,
  ],
  handle: [depth, cold, hours],
  ball: [depth, cold, hours],
  spoonRest: [depth, cold, hours],
  stands: [
    number('heightMm', 'How high', 'mm', '30'),
    {
      key: 'holds',
      label: 'After a minute',
      options: [
        ['yes', 'it stands'],
        ['no', 'it has sunk'],
      ],
    },
    cold,
    hours,
  ],
  feels: [
    {
      key: 'likePa',
      label: 'It feels like',
      options: LANDMARKS.map(({ resistancePa, name }) => [String(resistancePa), name]),
    },
    cold,
    hours,
  ],
  lamp: [
    {
      key: 'seen',
      label: 'What comes back',
      options: keysOf(LAMP_SHINE).map((seen: LampSeen) => [seen, LAMP_WORDS[seen]]),
    },
    cold,
    hours,
  ],
  taste: [{ key: 'tasted', label: 'It tastes', options: keysOf(TASTED).map((each) => [each, TASTED_WORDS[each]]) }],
  grains: [
    { key: 'felt', label: 'The tongue says', options: keysOf(FELT).map((each) => [each, FELT_WORDS[each]]) },
    cold,
    hours,
  ],
  sets: [
    number('layerMm', 'Layer so deep', 'mm', '20', 'depthMm'),
    number('temperatureC', 'Poured at', '°C', '35', 'fromC'),
    number('temperatureC', 'Stood at', '°C', '4', 'aroundC'),
    number('hours', 'Set after', 'h', '3'),
  ],
};

const YES_NO = new Set(['holds']);
const NUMBERS = new Set(['seconds', 'likePa']);

/** A draft as a test; nothing while something is missing. */
export function testOf(kind: TestKind, draft: TestDraft): FileTest | undefined {
  const fields = TEST_FIELDS[kind].map(({ key }) => {
    const value = draft[key];
    const read = YES_NO.has(key) ? value && value === 'yes' : NUMBERS.has(key) && value ? Number(value) : value;
    return [key, value === undefined || value === '' ? undefined : read] as const;
  });
  if (fields.some(([, value]) => value === undefined)) return undefined;
  return { test: kind, ...Object.fromEntries(fields) } as FileTest;
}
