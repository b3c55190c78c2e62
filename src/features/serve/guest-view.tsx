import { nutritionPanel } from '@/core/label/nutrition-schools';
import { LABEL_SCHOOLS, type LabelSchool } from '@/core/matter/nutrition';
import { alcoholWords } from '@/kitchen/words/alcohol-words';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { CAUTION_WORDS, panCautions } from '@/kitchen/words/cautions';
import { alluloseWords } from '@/kitchen/words/nutrition-words';
import { Button } from '@/ui/button';
import { significant, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Choice } from './asked';
import type { Serving } from './use-serving';

const SCHOOL_WORDS: Readonly<Record<LabelSchool, string>> = { eu: 'EU-style', us: 'US-style' };
const VEGAN_WORDS = {
  yes: 'Vegan, as its packs say.',
  no: 'Not vegan.',
  unknown: 'Whether it is vegan nobody has said.',
} as const;

/** What a guest may ask: allergens, alcohol, vegan, polyols, and nutrition of the portion as it is plated. */
export function GuestView({ serving }: { serving: Serving }) {
  const [portionG, setPortionG] = useTyped('guest portion', 30);
  const [school, setSchool] = useTyped<LabelSchool>('school', LABEL_SCHOOLS[0], LABEL_SCHOOLS);
  const { prediction, contents, file } = serving;
  const allergens = allergenWords(contents);
  const panel = nutritionPanel(prediction.components, portionG, school);
  const cautions = panCautions(prediction, contents);
  const told = (['polyols', 'xylitol', 'egg', 'honey', 'nutPaste'] as const).filter((each) => cautions.includes(each));
  return (
    <AskedAnswered
      name="For a guest"
      asked={
        <>
          <Amount label="As plated" unit="g" reach={[1, 1000]} value={portionG} onValue={setPortionG} />
          <Choice label="Figures as" value={school} words={SCHOOL_WORDS} onChoose={setSchool} />
          <Button onClick={() => window.print()}>Print the sheet</Button>
        </>
      }
    >
      <article className="max-w-xl rounded-xl border border-rule bg-sheet px-6 py-5 print:border-0">
        <h3 className="font-head text-[1.4rem] font-semibold">{file.name}</h3>
        <p className="mt-2">
          <strong>Contains:</strong> {allergens.contains}.
        </p>
        {allergens.mayContain && (
          <p>
            <strong>May contain:</strong> {allergens.mayContain}.
          </p>
        )}
        {allergens.unknown.map((sentence) => (
          <p key={sentence} className="text-off">
            {sentence}
          </p>
        ))}
        <p>
          <strong>Alcohol:</strong> {alcoholWords(prediction.alcoholPercentVol, significant) ?? 'none'}
        </p>
        <p>{VEGAN_WORDS[contents.vegan]}</p>
        {told.map((each) => (
          <p key={each}>{CAUTION_WORDS[each]}</p>
        ))}
        <table className="mt-3 w-full text-[15px]">
          <thead>
            <tr className="border-rule border-b text-left text-mute">
              <th className="py-1 font-medium">Typical values, calculated</th>
              <th className="text-right font-medium">{weight(portionG)}</th>
              <th className="text-right font-medium">100 g</th>
            </tr>
          </thead>
          <tbody>
            {panel.map(({ name, isInner, per100, perPortion }) => (
              <tr key={name} className="border-rule-soft border-b">
                <th className={`py-1 text-left font-medium ${isInner ? 'pl-4 text-mute' : ''}`}>{name}</th>
                <td className="read text-right">{perPortion}</td>
                <td className="read text-right">{per100}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-3 text-[13.5px] text-mute">
          Calculated from typical compositions, not analysed. {alluloseWords(prediction.components, school)}{' '}
          {CAUTION_WORDS.traces} {CAUTION_WORDS.code}
        </p>
      </article>
    </AskedAnswered>
  );
}
