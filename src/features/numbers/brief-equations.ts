import { FILM_USES, filmBands } from '@/core/brief/film-gates';
import { pullDown } from '@/core/brief/job';
import { BRIEF_DENSITY, yieldThatLevels } from '@/core/brief/job-gates';
import { yieldForCoat } from '@/core/flow/film';
import { handLimit } from '@/core/flow/piping';
import { fingerArea } from '@/core/yields/surfaces';
import { significant } from '@/ui/format';
import type { Chapter } from './equations';

const n = (value: number, digits = 2) => significant(value, digits);
const coat = filmBands(FILM_USES.coat, 2, BRIEF_DENSITY);
const thick = filmBands(FILM_USES.coat, 3, BRIEF_DENSITY);

/** How a brief becomes gates and grams. */
export const briefChapter = (): Chapter => ({
  title: 'From the job to gates and grams',
  equations: [
    {
      name: 'Flow that leaves a coat',
      words: 'A thicker coat wants a stiffer pour: what hangs grows with the coat, what drains with its square.',
      formula: 'τ = a · ρ g h;  η = (b h)² ρ g t / L, with a and b read backwards from the bands of the uses',
      source: 'Jeffreys 1930, turned round; the shares a and b are judgement',
      standing: 'published form, fitted numbers',
      example: `2 mm on pastry asks for ${n(coat.yieldStressPa[0])}–${n(coat.yieldStressPa[1])} Pa and ${n(coat.apparentViscosityPaS[0])}–${n(coat.apparentViscosityPaS[1])} Pa·s; 3 mm for ${n(thick.yieldStressPa[0])}–${n(thick.yieldStressPa[1])} Pa and ${n(thick.apparentViscosityPaS[0])}–${n(thick.apparentViscosityPaS[1])} Pa·s. For good, 2.5 mm at 1100 kg/m³ hangs at ${n(yieldForCoat(2.5, 1100))} Pa.`,
    },
    {
      name: 'A side that slopes',
      words: 'On a slope less of the weight pulls a coat down, over a longer way: a looser pour leaves the same coat.',
      formula: 'ρ g becomes ρ g sin α, and L becomes L / sin α',
      source: 'balance of forces',
      standing: 'published',
      example: `2.5 mm at 1100 kg/m³ hangs at ${n(yieldForCoat(2.5, 1100))} Pa on an upright side, at ${n(pullDown('sloping') * yieldForCoat(2.5, 1100))} Pa on one of 60° and at ${n(pullDown('shallow') * yieldForCoat(2.5, 1100))} Pa on one of 30°.`,
    },
    {
      name: 'What a hand can pipe',
      words: 'A swirl stands by its height; a narrow tip tires the hand sooner.',
      formula: 'most τ = 3 kPa · s(10 mm) / s(d),  s(d) = 2 √3 ln(40 mm / d) + 4 · 15 mm / d',
      source: 'Benbow & Bridgwater 1993; the sizes of bag and tip, and the 3 kPa, are judgement',
      standing: 'published form, fitted numbers',
      example: `A tip of 4 mm: up to ${n(handLimit(4))} Pa; of 10 mm: ${n(handLimit(10))} Pa; of 18 mm: ${n(handLimit(18))} Pa.`,
    },
    {
      name: 'A filling that finds its level',
      words: 'A wide, shallow tart needs a looser pour than a small deep one.',
      formula: 'τ ≤ ρ g · depth · 2 mm / half the width',
      source: 'balance of forces; the 2 mm are judgement',
      standing: 'judgement',
      example: `15 mm deep and 8 cm wide: at most ${n(yieldThatLevels(15, 8))} Pa; 24 cm wide: ${n(yieldThatLevels(15, 24))} Pa.`,
    },
    {
      name: 'How much a piece takes',
      words: 'The surface of the piece times the film; then what runs off, sticks, is kept in hand and boils off.',
      formula: 'finger, upper half: π w (l − w)/2 + π w²/2;  dome: π d²/2;  log: π d l/2;  swirl: 1.35 · π d² h/12',
      source: 'closed forms; the fullness of a swirl is judgement',
      standing: 'judgement',
      example: `An éclair of 13 × 3 cm has ${n(fingerArea(13, 3, false))} cm² to coat: ${n((fingerArea(13, 3, false) * 2 * BRIEF_DENSITY) / 10_000)} g at 2 mm.`,
    },
    {
      name: 'A batch of another size',
      words:
        'A pan boils off what its width and the hob give, not what is in it: the difference is made good in the water, or in the minutes.',
      formula: 'water = pans · rate · minutes − factor · water boiled off before',
      source: 'mass balance',
      standing: 'published',
      example: 'What leaves the stove keeps its composition to within half a per cent.',
    },
  ],
});
