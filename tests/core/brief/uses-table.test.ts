import { describe, expect, it } from 'vitest';
import { briefTargets } from '@/core/brief/brief-gates';
import { FAMILIES } from '@/core/brief/families';
import { forGuests, guestsOf, pieceOf, usualJob, withPiece } from '@/core/brief/job';
import { BRIEF_DENSITY, jobGates } from '@/core/brief/job-gates';
import { planBrief } from '@/core/brief/plan';
import { yieldForCoat } from '@/core/flow/film';
import { HAND_LIMIT_PA, standingHeight } from '@/core/flow/piping';
import { JOB_FACTS, JOB_USES, type JobUse } from '@/core/uses/catalogue';
import { PIECE_KEYS, PIECES, piecesForGuests, piecesOfUse } from '@/core/uses/pieces';
import { portionGrams } from '@/core/yields/portions';
import { briefSchema } from '@/formats/brief';
import { flowGateWords } from '@/ui/flow-words';
import { briefOf, jobOf } from '../../support/brief';

/**
 * What the gates of each use give, in a cook's measures: least and most mm that hang on a side at the work, cm that stand where it is piped,
 * and g of a usual piece.
 */
const TABLE: Readonly<
  Record<JobUse, { film?: [number, number]; stands?: [number, number]; pieceG: [number, number] }>
> = {
  coat: { film: [0.2, 3], pieceG: [8, 25] },
  glaze: { film: [0, 2], pieceG: [120, 220] },
  nap: { film: [0, 2], pieceG: [6, 12] },
  pool: { film: [0, 1], pieceG: [30, 60] },
  dip: { film: [0.1, 3], pieceG: [8, 35] },
  fondue: { film: [0.1, 3], pieceG: [300, 700] },
  drink: { film: [0, 0.5], pieceG: [120, 160] },
  tart: { film: [0, 5], pieceG: [70, 110] },
  shell: { film: [0, 4], pieceG: [5, 9] },
  layers: { stands: [1.4, 50], pieceG: [200, 260] },
  sandwich: { stands: [2, 50], pieceG: [7, 12] },
  pipe: { stands: [2.9, 50], pieceG: [7, 20] },
  cover: { stands: [2, 40], pieceG: [150, 260] },
  roll: { stands: [70, 700], pieceG: [9, 13] },
  cut: { stands: [300, 3000], pieceG: [900, 1200] },
  spoon: { pieceG: [190, 230] },
  whip: { stands: [1.4, 40], pieceG: [25, 25] },
};

describe.each(JOB_USES)('the gates of %s', (use) => {
  const job = usualJob(use);
  const { film, stands, pieceG } = TABLE[use];
  const atWork = jobGates(job).find(({ key }) => key === 'work.yieldStressPa');

  it('give what a cook measures', () => {
    const [low, high] = [atWork?.low ?? 0, atWork?.high ?? Number.POSITIVE_INFINITY];
    if (film) {
      const mm = (pa: number) => pa / yieldForCoat(1, BRIEF_DENSITY);
      expect(mm(low)).toBeGreaterThanOrEqual(film[0]);
      expect(mm(high)).toBeLessThanOrEqual(film[1]);
    }
    if (stands) {
      const cm = (pa: number) => standingHeight(pa, BRIEF_DENSITY) / 10;
      expect(cm(low)).toBeGreaterThanOrEqual(stands[0]);
      expect(cm(high)).toBeLessThanOrEqual(stands[1]);
    }
    if (use === 'pipe') expect(high).toBeLessThanOrEqual(HAND_LIMIT_PA * 2);
    const grams = portionGrams(job.portion, job.sizes, job.mm, job.sides, BRIEF_DENSITY);
    expect(grams).toBeGreaterThanOrEqual(pieceG[0]);
    expect(grams).toBeLessThanOrEqual(pieceG[1]);
  });

  it.each([12, 22, 30])('leave room between their edges and say so in words in a kitchen of %d °C', (kitchenC) => {
    for (const hours of [0.1, job.hours]) {
      for (const eatC of [job.eatC, kitchenC, JOB_FACTS[use].workC ?? kitchenC]) {
        const brief = briefOf([{ ...job, hours, eatC }], { kitchenC });
        const { gates, moments } = briefTargets(brief, 20);
        for (const { gate } of gates) {
          if (gate.low !== undefined && gate.high !== undefined) expect(gate.high / gate.low).toBeGreaterThan(1.9);
          const at = moments.find(({ name }) => name === gate.moment);
          const words = flowGateWords(gate, at?.temperatureC ?? 20, BRIEF_DENSITY) ?? '';
          // A band of millimetres that hang is one of films; what is set is said in other words.
          const [from = 0, to = from] = (/holds ([\d.]+) to ([\d.]+)/.exec(words) ?? []).slice(1).map(Number);
          expect(to, words).toBeLessThanOrEqual(30);
          if (to > 0) expect(to / Math.max(from, 0.05), words).toBeGreaterThan(1.5);
        }
      }
    }
  });

  it('has pieces by name, and a family to start from', () => {
    expect(piecesOfUse(use).length).toBeGreaterThan(0);
    for (const key of piecesOfUse(use)) {
      expect(JOB_FACTS[use].portions).toContain(PIECES[key].portion);
      const named = withPiece(job, key);
      expect(pieceOf(named)).toBe(key);
      expect(briefSchema.safeParse(briefOf([named])).error).toBeUndefined();
    }
    expect(FAMILIES.some(({ suits }) => suits.includes(use))).toBe(true);
  });
});

describe('guests', () => {
  it('8 guests with 3 profiteroles each are 24, and so much sauce more', () => {
    const each = withPiece(jobOf('nap'), 'profiterole');
    const for8 = forGuests(each, 8);
    expect([for8.count, guestsOf(for8)]).toEqual([24, 8]);
    const for16 = forGuests(each, 16);
    const grams = (job: typeof for8) => planBrief(briefOf([job])).size.jobs[0]?.usedG ?? 0;
    expect(grams(for16) / grams(for8)).toBeCloseTo(2, 6);
    expect(guestsOf({ ...for8, count: 25 })).toBeUndefined();
    expect(forGuests(for8, undefined).count).toBe(24);
  });

  it('a board is one for twelve guests; a fondue pot grows with its guests', () => {
    const board = forGuests({ ...jobOf('pool'), portion: 'board', sizes: { guests: 8, each: 25 } }, 12);
    expect([board.count, board.sizes.guests, guestsOf(board)]).toEqual([1, 12, 12]);
    const pot = forGuests(jobOf('fondue'), 12);
    expect([pot.count, pot.sizes.guests]).toEqual([1, 12]);
  });

  it.each(PIECE_KEYS)('of %s enough are made for every number of guests, and not one too many', (key) => {
    const { each } = PIECES[key];
    for (const guests of [1, 2, 7, 30, 400]) {
      const count = piecesForGuests(guests, each);
      expect(count).toBeGreaterThanOrEqual(guests * each - 1e-6);
      expect(count - 1).toBeLessThan(Math.max(guests * each, 1e-9));
    }
  });

  it('no mirror glaze and no drink is proposed for pancakes', () => {
    const suited = FAMILIES.filter(({ suits }) => suits.includes('nap')).map(({ id }) => id);
    expect(suited.filter((id) => id.startsWith('mirror') || id === 'thick-drink')).toEqual([]);
    expect(suited).toContain('cream-sauce');
  });

  it('a time it is wanted is one of the calendar', () => {
    const at = (wantedAt: string) => briefSchema.safeParse({ ...briefOf([jobOf('pool')]), wantedAt }).success;
    expect(['2026-12-05T17:30', '2026-02-30T10:00', '2026-12-05T25:00', 'soon'].map(at)).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });
});
