import { describe, expect, it } from 'vitest';
import { dueStands, dueWords } from '@/kitchen/words/due-words';

describe('a use-by date', () => {
  it('that is past is never said to be good today, also across months and years', () => {
    expect(dueWords('2026-11-24', '2026-11-27')).toBe('past its date, Tue 24 Nov: do not serve');
    expect(dueWords('2026-12-31', '2027-01-01')).toBe('past its date, Thu 31 Dec: do not serve');
    expect(dueWords('2026-11-27', '2026-11-27')).toBe('use today');
    expect(dueWords('2026-12-03', '2026-11-27')).toBe('use by Thu 3 Dec');
    expect(['2026-09-30', '2026-10-01', '2026-10-02'].map((day) => dueStands(day, '2026-10-01'))).toEqual([
      'past',
      'today',
      'later',
    ]);
  });
});
