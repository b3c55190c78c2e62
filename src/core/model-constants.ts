/** Counts changes of the equations or constants that move the figures of formulas. */
export const MODEL_REVISION = 3;

/**
 * The levels, powers and temperatures that several laws of the mixture share, in one table; what belongs to one law alone stands beside it. The mark says what stands behind a number:
 *
 * - P published: handbook or paper, rounded;
 * - F fitted by us to ranges that practitioners expect (no measurements of our own stand behind them);
 * - J judgement inside ranges of the literature, set by hand.
 *
 * A kitchen's own tests recalibrate the four offsets of the process; these stay.
 */
export const K = {
  /** Specific volumes, mL/g (P): fat, fat-free cocoa solids, protein, dissolved sugar, sugar crystals, dry starch, ethanol, minerals. */
  vFat: 1 / 0.91,
  vCocoaSolids: 1 / 1.45,
  vProtein: 0.74,
  vSugar: 0.62,
  vCrystal: 1 / 1.58,
  vStarch: 1 / 1.5,
  vEthanol: 1.2,
  vMinerals: 0.4,
  /** Inert filler (insoluble fibre, `other`) and acids in solution, mL/g (J). */
  vInert: 0.63,
  vAcids: 0.63,
  /** Dissolved gelatin, pectin, agar and gums, mL/g (J). */
  vGelling: 0.7,
  /** Bound water, g per g of cocoa solids, protein, starch (J). */
  boundByCocoa: 0.6,
  boundByProtein: 0.4,
  boundByStarch: 0.3,
  /** Serum soaked up, mL per g: cocoa solids and its growth when boiled (F), protein (F), raw starch (J). */
  uptakeCocoa: 0.85,
  uptakeCocoaCooked: 0.75,
  uptakeProtein: 3,
  uptakeRawStarch: 0.3,
  /** Swelling of gelatinised starch, mL/g, and how far sugar holds it back (J). */
  swellingStarch: 9,
  swellingStarchSugar: 0.6,
  /** Densest packing of swollen particles and of fat droplets (F), and how far the jam is softened (J). */
  maxPackingParticles: 0.655,
  maxPackingDroplets: 0.8,
  jamSoftness: 0.12,
  /** Grams of sucrose that thicken a syrup as much as one gram (P, but higher saccharides, polyols and trehalose with isomaltulose J). */
  asSucroseGlucose: 0.86,
  asSucroseFructose: 0.84,
  asSucroseMaltose: 1,
  asSucroseLactose: 1,
  asSucroseHigher: 1.25,
  asSucrosePolyol: 0.8,
  asSucroseRare: 1,
  /** Warm yield stress of cocoa: level Pa, power of volume fraction, temperature scale °C (F), viscosity where it levels off Pa·s (J). */
  cocoaYield: 100,
  cocoaYieldPower: 3,
  cocoaYieldTemperatureScale: 24,
  cocoaYieldViscosityCap: 0.03,
  /** Yield stress of crystallised fat: level Pa, power of solid fat, power of particle packing (F). */
  fatYield: 300000,
  fatYieldPower: 4,
  fatYieldPackingPower: 1.1,
  /** Crowded particles stiffen the network only so far: their packing factor levels off there (F). */
  fatYieldMaxPacking: 30,
  /** Droplets of fat without cocoa butter or lauric fat make a network only where they touch: what is left when they do not, volume share at which they do, width (J). */
  apartNetwork: 0.1,
  touchingAt: 0.52,
  touchingWidth: 0.03,
  /** How much a gram of solid milk fat (F) or lauric fat (J) builds the network beside a gram of solid cocoa butter. */
  networkMilkFat: 0.27,
  networkLauricFat: 0.8,
  /** Softening when fats mix, °C: dilution of cocoa butter (F), cocoa butter with lauric fat, lauric fat with others (J). */
  softeningDilution: 3.9,
  softeningEutectic: 10,
  softeningLauric: 8,
  /**
   * Solid fat curves: solid share when cold, midpoint °C, width °C; the stable form of cocoa butter melts higher and more sharply (P, cocoa
   * butter's midpoint and width F). Share that turns stable by itself in a day's rest (J).
   */
  solidCocoaButter: 0.86,
  meltCocoaButter: 23.6,
  meltCocoaButterTempered: 6.6,
  widthCocoaButter: 3.3,
  widthCocoaButterTempered: 1.5,
  /** End of melting of cocoa butter, °C, and its width: no crystal outlives it (P, form V). */
  meltEndCocoaButter: 33.8,
  meltEndWidth: 0.5,
  stableUnseeded: 0.15,
  solidMilkFat: 0.62,
  meltMilkFat: 13,
  widthMilkFat: 6.5,
  solidLauricFat: 0.88,
  meltLauricFat: 19.5,
  widthLauricFat: 1.8,
  /** Crystallisation in time: hours to reach one unit at 20 °C, growth per °C colder, Avrami exponent, how much faster bulk fat is (J). */
  crystalHoursAt20: 4,
  crystalColdFactor: 0.18,
  avramiPower: 1.2,
  bulkSpeed: 15,
  /** Fat crowding: where the emulsion inverts, where it starts to break, width of the change (J). */
  inversionFat: 0.76,
  breakingFat: 0.655,
  inversionWidth: 0.03,
  /** Fat-continuous chocolate: densest packing, yield level Pa and its power of the solids, seizing level Pa and onset, set level Pa and power (J). */
  maxPackingInFat: 0.64,
  yieldInFat: 242,
  yieldInFatPower: 5,
  seizeYield: 4000,
  seizeOnset: 0.045,
  setInFat: 1.2e7,
  setInFatPower: 2.5,
  /** Gelatin: level Pa, setting temperature °C and width, least concentration %, hours to half strength (J). */
  gelatinYield: 180,
  gelatinSetC: 26,
  gelatinSetWidth: 1.5,
  gelatinLeast: 0.3,
  gelHalfHours: 0.7,
  /** Pectin: level Pa and setting temperature °C (J). */
  pectinYield: 250,
  pectinSetC: 40,
  /** Cooked starch: level Pa (F). */
  starchYield: 0.042,
} as const;
