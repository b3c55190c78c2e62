import { shellFill } from '@/core/serve/finishing';
import { celsius, millimetres, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, Fact } from './asked';
import type { Serving } from './use-serving';

/** °C a filling may have at most, under the melting of a tempered shell (J). */
const SHELL_MOST_C = { dark: 29, milk: 27 } as const;

/** Moulded shells: what goes in, how warm, how high, and the cap. */
export function Shells({ serving: { prediction, batchG, pour } }: { serving: Serving }) {
  const [size, setSize] = useTyped('shell', { acrossMm: 30, deepMm: 18, shellMm: 1.5, capMm: 2 });
  const say = (change: Partial<typeof size>) => setSize({ ...size, ...change });
  const { grams, levelMm } = shellFill(size.acrossMm, size.deepMm, size.shellMm, size.capMm, prediction.densityKgM3);
  return (
    <>
      <div className="no-print grid max-w-sm gap-2">
        <Amount
          label="Mould, across"
          unit="mm"
          reach={[5, 200]}
          value={size.acrossMm}
          onValue={(acrossMm) => say({ acrossMm })}
        />
        <Amount
          label="Mould, deep"
          unit="mm"
          reach={[3, 100]}
          value={size.deepMm}
          onValue={(deepMm) => say({ deepMm })}
        />
        <Amount
          label="Shell"
          unit="mm"
          reach={[0.5, 10]}
          value={size.shellMm}
          onValue={(shellMm) => say({ shellMm })}
        />
        <Amount
          label="Left for the cap"
          unit="mm"
          reach={[0.5, 20]}
          value={size.capMm}
          onValue={(capMm) => say({ capMm })}
        />
      </div>
      <dl className="mt-3 max-w-2xl">
        <Fact name="Goes into one">{weight(Math.round(grams * 10) / 10)}</Fact>
        <Fact name="Shells this batch fills">{grams > 0 ? Math.floor(batchG / grams) : 0}</Fact>
        <Fact name="Fill up to" note="so much stays free under the rim for the cap">
          {millimetres(levelMm)}
        </Fact>
        <Fact
          name="Fill no warmer than"
          note={
            pour.temperatureC > SHELL_MOST_C.dark
              ? `its own pour is ${celsius(Math.round(pour.temperatureC))}: let it cool first, or the shell melts`
              : 'below where the shell melts'
          }
        >
          {celsius(SHELL_MOST_C.dark)} dark, {celsius(SHELL_MOST_C.milk)} milk and white
        </Fact>
      </dl>
      <p className="mt-3 max-w-2xl">
        Let the filling skin in a cool room overnight; warm the rim a breath, cap, scrape once.
      </p>
    </>
  );
}
