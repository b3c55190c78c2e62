import { USUAL_MAKING, USUAL_WISHES } from '@/core/brief/brief';
import { usualJob } from '@/core/brief/job';
import { type DemoFormula, line } from './demo-formula';

/** What Lantern Mill makes in ways it seldom works: without chocolate, from a bought glaze, fat first, whipped. */
export const RARER_WAYS: readonly DemoFormula[] = [
  {
    name: 'Landing stage cocoa syrup',
    way: 'cocoaSyrup',
    use: 'pool_plate',
    note: 'No chocolate in it: cocoa and sugar boiled with the milk, a little butter at the end. For pools under the sponge.',
    process: { cook: 0.2 },
    lines: [
      line('milk-whole', 300, 'boil with sugar and cocoa'),
      line('sugar-caster', 160),
      line('cocoa-alkalised-22', 62, 'sifted'),
      line('butter-unsalted-82', 30, 'cold, at the end'),
    ],
    targetGrams: 480,
    bowlLossGrams: 15,
  },
  {
    name: 'Rainy day shine',
    way: 'neutralGlaze',
    use: 'mirror_glaze',
    note: 'A bought glaze darkened with chocolate, for days when nobody has time to soak gelatin. Still a little thick.',
    lines: [
      line('glaze-neutral-cold', 420, 'warm, do not boil'),
      line('water', 140),
      line('glucose-syrup-de42', 60),
      line('dark-couverture-64', 100, 'chopped'),
    ],
    targetGrams: 690,
    bowlLossGrams: 25,
  },
  {
    name: 'Boathouse spoon fudge',
    way: 'fatFirst',
    use: 'spoon_cold',
    note: 'Butter and chocolate first, then brown sugar, then the cream bit by bit: thick, sweet and spooned from the jar.',
    lines: [
      line('butter-unsalted-82', 80, 'melt with the chocolate'),
      line('dark-couverture-60', 200, 'chopped'),
      line('sugar-brown-dark', 90),
      line('cream-25', 260, 'warm, a little at a time'),
    ],
    targetGrams: 600,
    bowlLossGrams: 15,
  },
  {
    name: 'Heron feather, whipped',
    way: 'whipped',
    use: 'whip',
    note: 'Made the day before, cold overnight, whipped just before it is piped on the buckwheat layers.',
    brief: {
      jobs: [{ ...usualJob('whip'), what: 'layers of feather', count: 24 }],
      kitchenC: 21,
      wishes: USUAL_WISHES,
      making: USUAL_MAKING,
    },
    lines: [
      line('cream-35', 470, 'half boiled, half cold'),
      line('milk-couverture-40', 150, 'chopped'),
      line('glucose-syrup-de42', 25, 'warm with the cream'),
    ],
    targetGrams: 0,
    bowlLossGrams: 0,
  },
];
