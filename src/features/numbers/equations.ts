import { crystallised } from '@/core/fat/crystallisation';
import { filmThickness } from '@/core/flow/film';
import { packingFactor } from '@/core/flow/phases';
import { yieldToStand } from '@/core/flow/piping';
import { BLEND, plateDiameter } from '@/core/flow/ring-spread';
import { CHOCOLATE_SD, FORMULA_SD, KITCHEN_PRIOR, LEARNT } from '@/core/learn/learnt';
import { POLYOLS, polyolSolubility } from '@/core/matter/polyols';
import { K } from '@/core/model-constants';
import { boilOffRate } from '@/core/pan/boil-off';
import { lactoseSolubility, sucroseSolubility } from '@/core/serum/dissolved';
import { sucroseSolutionViscosity } from '@/core/serum/viscosity';
import { COOLING_PLACES, coolingHours } from '@/core/set/cooling';
import { celsius, significant } from '@/ui/format';
import { exampleState } from './worked-examples';

/** What stands behind an equation. */
export type Standing = 'published' | 'fitted' | 'judgement' | 'published form, fitted numbers';

/** One equation of the model, for a cook and for an engineer. */
export interface Equation {
  readonly name: string;
  /** what it means at the stove */
  readonly words: string;
  /** the equation, plain text */
  readonly formula: string;
  readonly source: string;
  readonly standing: Standing;
  /** worked by the core as the page is made */
  readonly example: string;
}

/** A chapter of the model. */
export interface Chapter {
  readonly title: string;
  readonly equations: readonly Equation[];
}

const warm = exampleState(40, [[0.3, 40]]);
const bench = exampleState(20, [[24, 20]]);
const fridge = exampleState(5, [[24, 5]]);
const n = (value: number, digits = 3) => significant(value, digits);

/** The share by mass of a 60 % sucrose solution as a mole fraction. */
const SIXTY = 60 / 342.3 / (60 / 342.3 + 40 / 18.015);

/** Every equation of the model, chapter by chapter. All figures are worked out by the core. */
// biome-ignore lint/complexity/noExcessiveLinesPerFunction: a list, in the order in which it is read
export const chapters = (): readonly Chapter[] => [
  {
    title: 'What is dissolved in the water',
    equations: [
      {
        name: 'How much sugar the water takes',
        words:
          'Hot water takes more sugar than cold; what does not fit grains out, unless glucose or invert syrup keeps it.',
        formula:
          'w% = 64.397 + 0.07251 T + 0.0020569 T² − 9.035·10⁻⁶ T³;  limit × exp(−0.09 soft/water) × (1.10 + 0.30 soft/all sugars)',
        source: 'Charles 1960; supersaturation 1.10–1.40 that survives days: judgement',
        standing: 'published',
        example: `1 g of water holds ${n(sucroseSolubility(20))} g of sugar at ${celsius(20)}, ${n(sucroseSolubility(60))} g at ${celsius(60)}.`,
      },
      {
        name: 'Milk sugar and the sugar alcohols',
        words: 'Lactose and erythritol like to grain; each sugar alcohol has its own limit.',
        formula:
          'lactose: 2.1 × 0.119 exp(0.0259 T) exp(−0.35 sucrose/water);  polyols: ln s straight between 5, 20, 40 and 60 °C',
        source:
          'handbook fits; labile limit of lactose after Hartel; depression after Nickerson & Moore 1972; polyols typical figures',
        standing: 'published',
        example: `At ${celsius(20)}: lactose ${n(lactoseSolubility(20))}, erythritol ${n(polyolSolubility('erythritol', 20))}, maltitol ${n(polyolSolubility('maltitol', 20))}, xylitol ${n(polyolSolubility('xylitol', 20))} g in 1 g of water.`,
      },
      {
        name: 'How thick the syrup is',
        words:
          'A denser syrup flows more slowly, and much more so when cold. Other sugars count as more or less table sugar.',
        formula: 'log₁₀ η(mPa·s) = 22.46 x − 0.114 + (30−T)/(91+T) × (1.1 + 43.1 x^1.25),  x mole fraction',
        source: 'Genotelle 1978, in Mathlouthi & Reiser 1995; ethanol, gelatin, pectin and gums fitted to tables',
        standing: 'published',
        example: `A 60 % solution: ${n(1000 * sucroseSolutionViscosity(SIXTY, 20))} mPa·s at ${celsius(20)}, ${n(1000 * sucroseSolutionViscosity(SIXTY, 40))} at ${celsius(40)}.`,
      },
      {
        name: 'Water activity',
        words:
          'What is dissolved holds the water back from moulds. Glucose, invert syrup and salt do more per gram than sugar.',
        formula: 'a_w = Π (1−xᵢ) exp(−Kᵢ xᵢ²)',
        source:
          'Norrish 1966; Ross 1975; constants Chirife & Favetto 1992; higher saccharides, cocoa and minerals: judgement',
        standing: 'published',
        example: `Equal weights of dark chocolate and cream: ${bench.waterActivity.toFixed(2)}.`,
      },
    ],
  },
  {
    title: 'Who takes up the room, and how it flows',
    equations: [
      {
        name: 'Swelling',
        words:
          'Cocoa, milk protein and starch soak up syrup and become bigger than they were. Boiling swells cocoa and starch more.',
        formula: `cocoa +${K.uptakeCocoa} ml/g (×${1 + K.uptakeCocoaCooked} boiled), protein +${K.uptakeProtein} ml/g, cooked starch +${K.swellingStarch} ml/g less with sugar`,
        source: 'our fit to ranges practitioners expect; starch from its swelling power',
        standing: 'fitted',
        example: `In the example ganache, swollen particles fill ${Math.round(100 * warm.flow.phases.particles)} % of what is not fat.`,
      },
      {
        name: 'Crowding',
        words:
          'The fuller the pan is of particles and fat droplets, the harder they pass each other. Spices, nut flour and fibre count as particles.',
        formula: `P = [1 − φ/φ_max]⁻²,  φ_max ${K.maxPackingParticles} for particles, ${K.maxPackingDroplets} for droplets; the two multiply`,
        source: 'Maron & Pierce 1956; Quemada 1977; Farris 1968; the softened jam is ours',
        standing: 'published form, fitted numbers',
        example: `Half full of particles thickens ${n(packingFactor(0.5, K.maxPackingParticles), 2)} times.`,
      },
      {
        name: 'Flow curve',
        words: 'A sauce resists in two ways: it needs a push to start (yield) and it drags once it moves (viscosity).',
        formula: 'η(rate) = (√(τ_y/rate) + √η_∞)²;  resistance to the spoon = 10 1/s × η(10 1/s)',
        source: 'Casson 1959',
        standing: 'published',
        example: `The example at ${celsius(40)}: yield ${n(warm.flow.yieldStressPa)} Pa, viscosity ${n(warm.flow.plasticViscosityPaS)} Pa·s, resistance ${n(warm.flow.resistancePa)} Pa.`,
      },
      {
        name: 'Warm yield from cocoa',
        words: 'Cocoa particles stick to each other: that is what makes a warm ganache coat instead of run.',
        formula: `τ = ${K.cocoaYield} φ_c^${K.cocoaYieldPower} × syrup viscosity (levelling off) × exp(−(T−40)/${K.cocoaYieldTemperatureScale}) × √((1−φ_f) P)`,
        source: 'power of volume usual for flocs; amplification by droplets Chateau, Ovarlez & Trung 2008; level ours',
        standing: 'fitted',
        example: `${n(warm.flow.cocoaYieldPa)} Pa of the yield at ${celsius(40)}.`,
      },
      {
        name: 'Splitting and seizing',
        words:
          'When fat crowds out the syrup between the droplets, the emulsion breaks and turns over. A little water in melted chocolate glues its sugar.',
        formula: `water-continuous while fat/(fat + free syrup) < ${K.inversionFat}; seizing from about ${(100 * K.seizeOnset).toFixed(1)} % water in the solids`,
        source: 'close packing of droplets; numbers set by hand',
        standing: 'judgement',
        example: `The example stands at ${n(warm.flow.phases.fatCrowding, 2)}.`,
      },
    ],
  },
  {
    title: 'How it sets',
    equations: [
      {
        name: 'Solid fat',
        words:
          'Cocoa butter is firm below about 20 °C, milk fat far colder; mixed, they soften each other. Some of the cocoa butter turns into its stable form by itself in a day, all of it when tempered: that form melts higher.',
        formula: `solid = S / (1 + exp((T − T_m)/w));  cocoa butter T_m ${K.meltCocoaButter} − ${K.softeningDilution} × (share of other fats) °C, its stable form ${K.meltCocoaButterTempered} °C higher; stable share ${K.stableUnseeded} without tempering; none past ${K.meltEndCocoaButter} °C`,
        source:
          'fits to handbook curves; softening on mixing Timms 1980, 1984; the share that turns by itself: judgement',
        standing: 'published form, fitted numbers',
        example: `Rested, ${Math.round(100 * bench.flow.solidFatFraction)} % of the example's fat is solid at ${celsius(20)}, ${Math.round(100 * fridge.flow.solidFatFraction)} % at ${celsius(5)}.`,
      },
      {
        name: 'Time to set',
        words:
          'Fat in droplets crystallises slowly: hours on the bench, a quarter of an hour to half of it at fridge temperature.',
        formula: `X = 1 − exp(−ln 2 × age^${K.avramiPower});  age counts hours, faster when colder`,
        source: 'Avrami 1940; isokinetic sum Nakamura 1973; half times set by hand',
        standing: 'published form, fitted numbers',
        example: `After 4 h at ${celsius(20)} ${Math.round(100 * crystallised([[4, 20]], 1))} %, at ${celsius(5)} ${Math.round(100 * crystallised([[4, 5]], 1))} % of the way.`,
      },
      {
        name: 'Firmness of the fat',
        words:
          'Twice the solid fat makes it sixteen times firmer. That is why a few degrees on the bench matter so much.',
        formula: `τ = ${K.fatYield} φ_sf^${K.fatYieldPower} × P^${K.fatYieldPackingPower}, P levelling off at ${K.fatYieldMaxPacking}; a tenth of it where only a cream's own fat is there and nothing touches`,
        source: 'power law of fat-crystal networks: Narine & Marangoni 1999; numbers ours',
        standing: 'published form, fitted numbers',
        example: `The example: ${n(bench.flow.yieldStressPa / 1000, 2)} kPa at ${celsius(20)}, ${n(fridge.flow.yieldStressPa / 1000, 2)} kPa at ${celsius(5)}.`,
      },
      {
        name: 'Gels',
        words: 'Gelatin, pectin, cooked starch and gums add a net of their own.',
        formula: `gelatin ${K.gelatinYield} Pa × (bloom/200) × %² below ${K.gelatinSetC} °C, half strength after ${K.gelHalfHours} h; pectin %^2.5; starch %^3.5`,
        source:
          'square of concentration: many authors; levels ours; agar gels as three times its weight of pectin: judgement',
        standing: 'published form, fitted numbers',
        example: 'None in the example.',
      },
      {
        name: 'Cooling',
        words: 'Edges set before the centre; twice the depth takes about three times as long.',
        formula: 't = ρ c L²/(k ζ²) × ln(A (T₀−T_∞)/(T₁−T_∞)), heat of crystallising fat included',
        source: 'one-term Fourier series; Choi & Okos 1986 for heat capacity; surfaces set by hand',
        standing: 'published',
        example: `A 2 cm tray in the fridge from ${celsius(45)} to ${celsius(10)}: centre ${n(tray('centre'), 2)} h, edge ${n(tray('edge'), 2)} h.`,
      },
    ],
  },
  {
    title: 'Shine, taste and keeping',
    equations: [
      {
        name: 'Shine index, 0–100',
        words: 'Dense syrup, glucose, gelatin and a fine emulsion shine; cocoa, solid fat, starch and crystals dull.',
        formula:
          'logistic of −0.3 + 0.030 Brix + 1.2 soft share + gel film + mixing − 3 cocoa − 6 solid fat − starch − grain − bloom',
        source: 'our own weights, to be calibrated by what a kitchen sees',
        standing: 'judgement',
        example: `The example: ${warm.shine.toFixed(0)} warm, ${fridge.shine.toFixed(0)} from the fridge.`,
      },
      {
        name: 'Sweetness',
        words: 'As grams of table sugar in 100 g that would taste as sweet.',
        formula: `sucrose 1, fructose 1.2, glucose 0.7, maltose 0.4, lactose 0.2; xylitol ${POLYOLS.xylitol.sweetness}, maltitol ${POLYOLS.maltitol.sweetness}, erythritol ${POLYOLS.erythritol.sweetness}`,
        source: 'sweetness tables, rounded',
        standing: 'published',
        example: 'Warm and cold taste differ; the index does not know that.',
      },
      {
        name: 'Keeping and risks',
        words:
          'Days are an index of how hard it is for things to grow, never a use-by date. Risks point at what to watch.',
        formula: 'smooth steps of water activity, alcohol, packing, crystals and process',
        source: 'set by hand',
        standing: 'judgement',
        example: 'Your local food code and licensed practice decide.',
      },
    ],
  },
  {
    title: 'Kitchen tests and the stove',
    equations: [
      {
        name: 'Spread on a plate',
        words: 'After ten seconds the ring tells the yield, hardly the viscosity.',
        formula: `R = (R_v^−${BLEND} + R_y^−${BLEND})^(−1/${BLEND});  R_v = 0.894 (g V³ t ρ/(3η))^(1/8),  R_y = (225 ρ g V²/(128 π² τ))^(1/5)`,
        source: 'Huppert 1982; Roussel & Coussot 2005; the blend is fitted to the film equation, worst 2 % off',
        standing: 'published form, fitted numbers',
        example: `20 ml of the example at ${celsius(40)} reach ${Math.round(plateDiameter({ ...warm.flow, densityKgM3: warm.flow.phases.densityKgM3 }))} mm in 30 s.`,
      },
      {
        name: 'Coat on a side, swirl that stands',
        words: 'Only the yield holds a coat up for good; a swirl of 3 cm needs about as much as thick yoghurt.',
        formula: 'h = τ/(ρ g) + √(η L/(ρ g t));  τ ≥ ρ g H/√3',
        source: 'Jeffreys 1930; balance of forces',
        standing: 'published',
        example: `The example at ${celsius(40)} leaves ${n(filmThickness({ ...warm.flow, densityKgM3: warm.flow.phases.densityKgM3 }, 0.05, 5), 2)} mm on a 5 cm side after 5 s; a 3 cm rosette needs ${n(yieldToStand(30, 1100))} Pa.`,
      },
      {
        name: 'What your tests teach',
        words:
          'All tests at once, each by what carries it: warm flow, fat, gels, time, shine. One slip hardly pulls. Old tests fade. Ten tests of one formula count for less than ten formulas.',
        formula: `ln(measured) = ln(model) + offsets + chocolate + formula;  before any test: ${LEARNT.map((about) => `${about} ± ${KITCHEN_PRIOR[about].sd}`).join(', ')}; chocolate ± ${CHOCOLATE_SD}, formula ± ${FORMULA_SD}`,
        source: "Gauss-Newton on a normal prior; Student's t; probit for a yes or no; the spreads are set by hand",
        standing: 'published form, fitted numbers',
        example: 'Three rings that all say “1.65 times as thick” move a new kitchen 1.6 times.',
      },
      {
        name: 'Boiling down',
        words: 'A wide pan and a strong flame lose water faster, up to what the base can bear.',
        formula: 'g/min = 60 000 (q − losses)/2.26·10⁶, q limited to 45 kW/m² of base',
        source: 'heat balance; limits set by hand',
        standing: 'published form, fitted numbers',
        example: `2 kW at 60 % into a 20 cm pan: ${n(boilOffRate({ powerW: 2000, efficiency: 0.6, level: 1 }, { diameterM: 0.2, kitchenC: 25 }), 2)} g a minute.`,
      },
    ],
  },
];

function tray(point: 'centre' | 'edge'): number {
  return coolingHours(
    { shape: 'slab', lengthM: 0.02 },
    { densityKgM3: 1090, heatCapacity: 3400, conductivity: 0.33 },
    { fromC: 45, toC: 10, aroundC: 4 },
    COOLING_PLACES.fridge,
    point,
  );
}
