import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { foldMixture } from '@/core/matter/mixture';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import {
  ANSWERS,
  type Answered,
  causesOfFault,
  FAULT_CAUSES,
  FAULT_SIGNS,
  type FaultyPan,
  nextQuestion,
  QUESTIONS,
} from '@/core/rescue/diagnosis';
import { fixFor } from '@/core/rescue/fixes';
import { PAN_KINDS, panKindOf } from '@/core/rescue/pan-kind';
import { perGram } from '../../support/pan';

const contents = (kind: FaultyPan['kind'], more: Partial<FaultyPan> = {}): FaultyPan => ({
  kind,
  hasStarch: false,
  hasGelatin: kind === 'gelatinGlaze',
  hasCocoa: true,
  isSeized: false,
  ...more,
});
const facts = (pan: FaultyPan, massG = 500) => ({ ...pan, massG, seizedNeedsG: undefined });
const likeliest = (...asked: Parameters<typeof causesOfFault>) => causesOfFault(...asked)[0]?.cause;

const anyPan = fc.record({
  kind: fc.constantFrom(...PAN_KINDS),
  hasStarch: fc.boolean(),
  hasGelatin: fc.boolean(),
  hasCocoa: fc.boolean(),
  isSeized: fc.boolean(),
});

describe('the kind of a pan', () => {
  it.each([
    ['plain', [['dark-couverture-70', 300]], false],
    [
      'plain',
      [
        ['dark-couverture-70', 300],
        ['water', 12],
      ],
      false,
    ],
    [
      'ganache',
      [
        ['dark-couverture-60', 200],
        ['cream-35', 265],
      ],
      false,
    ],
    [
      'waterSauce',
      [
        ['cocoa-alkalised-22', 60],
        ['sugar-caster', 150],
        ['water', 200],
      ],
      false,
    ],
    [
      'whipped',
      [
        ['white-couverture-34', 200],
        ['cream-35', 500],
      ],
      true,
    ],
    [
      'gelatinGlaze',
      [
        ['cocoa-alkalised-22', 60],
        ['sugar-caster', 150],
        ['water', 200],
        ['gelatin-leaf-200', 8],
      ],
      false,
    ],
  ] as const)('%s', (kind, lines, isWhipped) => {
    const components = perGram('water').map((_, i) =>
      lines.reduce((sum, [id, grams]) => sum + grams * (perGram(id)[i] ?? 0), 0),
    );
    expect(panKindOf(foldMixture(components, DEFAULT_PROCESS), isWhipped)).toBe(kind);
  });
});

describe('grainy and stiff', () => {
  it('has another first cause in each kind of pan', () => {
    const first = PAN_KINDS.map((kind) => likeliest('seized', contents(kind), []));
    expect(first).toEqual(['waterIn', 'split', 'sugarGrains', 'overwhipped', 'gelStrings']);
  });

  it('is no seized chocolate where there is plenty of cream; whipped ganache takes a splash of cold cream', () => {
    expect(causesOfFault('seized', contents('ganache'), []).map(({ cause }) => cause)).not.toContain('waterIn');
    const [first] = fixFor('overwhipped', facts(contents('whipped'))).steps;
    expect(first).toEqual({ do: 'foldIn', what: 'coldCream', grams: 20 });
  });

  it('is asked about first; crunchy is sugar, waxy is chocolate that has not melted', () => {
    const pan = contents('ganache');
    expect(nextQuestion(causesOfFault('seized', pan, []), [])).toBeDefined();
    expect(likeliest('seized', pan, [{ question: 'rubbed', answer: 'crunchy' }])).toBe('sugarGrains');
    expect(likeliest('seized', pan, [{ question: 'rubbed', answer: 'melts' }])).toBe('unmelted');
    expect(likeliest('seized', contents('plain'), [{ question: 'burntSmell', answer: 'yes' }])).toBe('scorched');
  });
});

describe('any fault in any pan', () => {
  it('has causes that sum to one, and at most two questions, whatever is answered', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FAULT_SIGNS), anyPan, fc.infiniteStream(fc.nat()), (sign, pan, dice) => {
        let answers: readonly Answered[] = [];
        for (;;) {
          const causes = causesOfFault(sign, pan, answers);
          expect(causes.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
          const question = nextQuestion(causes, answers);
          if (!question) break;
          const possible = Object.keys(ANSWERS[question]);
          const answer = possible[(dice.next().value ?? 0) % possible.length] as string;
          answers = [...answers, { question, answer }];
        }
        expect(answers.length).toBeLessThanOrEqual(2);
        expect(new Set(answers.map(({ question }) => question)).size).toBe(answers.length);
      }),
    );
  });

  it('names only what is in the pan: no starch lumps without starch, no strings without gelatin', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FAULT_SIGNS), fc.constantFrom(...PAN_KINDS.slice(1, 4)), (sign, kind) => {
        const causes = causesOfFault(sign, contents(kind, { hasGelatin: false }), []).map(({ cause }) => cause);
        expect(causes).not.toContain('starchLumps');
        expect(causes).not.toContain('gelStrings');
      }),
    );
  });

  it('has a fix that ends: whatever does not work leads to another, and at last to an end', () => {
    for (const cause of FAULT_CAUSES) {
      const seen = new Set<string>();
      let next: (typeof FAULT_CAUSES)[number] | undefined = cause;
      while (next) {
        expect(seen.has(next)).toBe(false);
        seen.add(next);
        const fix: ReturnType<typeof fixFor> = fixFor(next, facts(contents('ganache')));
        expect(fix.steps.length).toBeGreaterThan(0);
        for (const step of fix.steps) if ('grams' in step) expect(step.grams).toBeGreaterThanOrEqual(5);
        next = 'next' in fix.ifNot ? fix.ifNot.next : undefined;
      }
    }
  });

  it('offers no other use of what is burnt or seized', () => {
    for (const cause of ['scorched', 'caught', 'waterIn'] as const) {
      expect(fixFor(cause, facts(contents('plain'))).hasOtherUses).toBe(false);
    }
  });

  it('lumps of starch are sieved and blended', () => {
    const pan = contents('waterSauce', { hasStarch: true });
    expect(likeliest('lumps', pan, [{ question: 'lumpIs', answer: 'paleSoft' }])).toBe('starchLumps');
    expect(fixFor('starchLumps', facts(pan)).steps.map((step) => step.do)).toEqual(['sieve', 'blend', 'boil']);
  });

  it('every question can be answered for something', () => {
    for (const question of QUESTIONS) expect(Object.values(ANSWERS[question]).flat().length).toBeGreaterThan(0);
  });
});
