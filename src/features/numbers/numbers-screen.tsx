import { HAND_LIMIT_PA } from '@/core/flow/piping';
import { measureDoubt } from '@/core/matter/measures';
import { K } from '@/core/model-constants';
import { modelDoubt } from '@/core/predict/doubt';
import { significant } from '@/ui/format';
import { TopBar } from '@/ui/top-bar';
import { briefChapter } from './brief-equations';
import { chapters, type Equation, type Standing } from './equations';
import { EQUAL_GANACHE, exampleBatch, exampleState } from './worked-examples';

const LOOK: Record<Standing, string> = {
  published: 'bg-enamel-wash text-enamel',
  'published form, fitted numbers': 'bg-near-wash text-near',
  fitted: 'bg-near-wash text-near',
  judgement: 'bg-off-wash text-off',
};

const WEAK: readonly string[] = [
  'No laboratory or kitchen measurement stands behind the fitted numbers; they were set to ranges practitioners expect. Your own tests are worth more.',
  'Near 20–24 °C the set is steep: a degree and a half on the thermometer matters more than the scale.',
  'Hardening over days (the slow change of cocoa butter) is not followed; tempering is a stand-in.',
  'A fast and a slow cooling path give the same crystals here; in the pan they do not.',
  'Whipping and overworking change texture in reality; here they only raise risks.',
  'White and milk chocolate: milk powder counts as fresh protein. Without cocoa there is no warm yield: “none” is shown.',
  'Starch does not break down by long boiling or acid here; pectin is taken to melt again; gums and proteins do not meet.',
  'Ice, curdling, browning and caramel are outside. Good for about 0–95 °C.',
  'Melted chocolate with 12–20 % water is a smooth guess between two states.',
];

/** How the numbers are made: for a cook first, for an engineer folded below. Every figure on it comes from the core. */
export function NumbersScreen() {
  const ganache = exampleBatch(EQUAL_GANACHE);
  const doubt = modelDoubt(ganache.mixture);
  const [warm, cold] = [exampleState(45, [[0.3, 45]]), exampleState(5, [[4, 5]])];
  return (
    <>
      <TopBar />
      <main className="mx-auto max-w-[860px] px-5 pt-6 pb-20 text-[15px] leading-relaxed">
        <h1 className="mb-3 text-[2rem]">How the numbers are made</h1>
        <p className="mb-4 text-[1.1rem]">
          Everything you feel with the spoon is one thing: how hard it is to stir slowly. Dark Pour works it out from
          what is in the pan, for every temperature, and draws it as one curve.
        </p>
        <ol className="mb-6 list-decimal space-y-1.5 pl-6">
          <li>The water dissolves what sugar it can: that is the syrup. Colder, it is thicker.</li>
          <li>
            Cocoa, milk protein and starch soak up syrup and swell; fat floats in it as droplets. The fuller it is, the
            thicker.
          </li>
          <li>Cocoa particles hold on to each other: that makes it coat.</li>
          <li>As it cools, fat turns solid, slowly. That makes it set, and it is why the warm look lies.</li>
          <li>Gelatin, pectin, starch and gums add a net of their own.</li>
          <li>The same syrup tells the shine, and how well it keeps.</li>
        </ol>
        <p className="mb-4">
          Equal weights of dark chocolate and cream look thin at 45 °C ({significant(warm.flow.apparentViscosityPaS)}{' '}
          Pa·s), and are {significant(cold.flow.yieldStressPa / 1000)} kPa after four hours in the fridge:{' '}
          {significant(cold.flow.yieldStressPa / HAND_LIMIT_PA)} times what a hand can pipe.
        </p>
        <h2 className="mt-8 mb-2 text-[1.4rem]">How far to trust them</h2>
        <ul className="list-disc space-y-1.5 pl-6">
          <li>
            Comparing two versions of one recipe is the strong side. Absolute numbers are good to about a factor{' '}
            {significant(Math.exp(doubt.lnYield))} for a ganache, more for sauces and glazes.
          </li>
          <li>
            The grey band and “8 in 10” say where eight of ten such batches would fall: scale or cup, packs that differ,
            and the model’s own doubt together. A cup of chopped chocolate alone is worth ±
            {Math.round(100 * measureDoubt('cup', 'chopped'))} %.
          </li>
          <li>
            The chance to land counts all gates at once in two thousand drawn batches; the same pan always gives the
            same answer.
          </li>
          <li>
            Shine, keeping and risks are an index. They tell which way, not how much. They are no food-safety statement.
          </li>
        </ul>
        <h2 className="mt-8 mb-2 text-[1.4rem]">Where it is weak</h2>
        <ul className="list-disc space-y-1.5 pl-6">
          {WEAK.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
        <h2 className="mt-8 mb-3 text-[1.4rem]">Each equation</h2>
        <p className="mb-3 text-mute">
          <Badge standing="published" /> quoted from the literature, <Badge standing="published form, fitted numbers" />{' '}
          or <Badge standing="fitted" /> set by us to expected ranges, <Badge standing="judgement" /> set by hand.
        </p>
        {[...chapters(), briefChapter()].map(({ title, equations }) => (
          <details key={title} className="mb-3 rounded-xl border border-rule bg-sheet open:pb-3">
            <summary className="flex min-h-12 cursor-pointer items-center px-4 font-head text-[1.1rem] font-semibold">
              {title}
            </summary>
            {equations.map((equation) => (
              <EquationCard key={equation.name} equation={equation} />
            ))}
          </details>
        ))}
        <details className="rounded-xl border border-rule bg-sheet open:pb-4">
          <summary className="flex min-h-12 cursor-pointer items-center px-4 font-head text-[1.1rem] font-semibold">
            All constants
          </summary>
          <dl className="read grid grid-cols-1 gap-x-6 px-4 text-[0.86rem] sm:grid-cols-2">
            {Object.entries(K).map(([name, value]) => (
              <div key={name} className="flex justify-between gap-3 border-rule-soft border-b py-1">
                <dt className="text-mute">{name}</dt>
                <dd>{Number(value.toPrecision(6))}</dd>
              </div>
            ))}
          </dl>
        </details>
      </main>
    </>
  );
}

function Badge({ standing }: { standing: Standing }) {
  return (
    <span className={`rounded px-1.5 py-0.5 text-[13px] font-semibold whitespace-nowrap ${LOOK[standing]}`}>
      {standing}
    </span>
  );
}

function EquationCard({ equation }: { equation: Equation }) {
  const { name, words, formula, source, standing, example } = equation;
  return (
    <section className="border-rule-soft border-t px-4 py-3">
      <h3 className="mb-1 flex flex-wrap items-center gap-2 font-sans text-[1rem] font-semibold">
        {name} <Badge standing={standing} />
      </h3>
      <p>{words}</p>
      <p className="read my-1.5 overflow-x-auto rounded-md bg-rule-soft px-3 py-2 text-[0.84rem]">{formula}</p>
      <p className="text-[13.5px] text-mute">{source}.</p>
      <p className="text-[13.5px]">{example}</p>
    </section>
  );
}
