import type { JobUse } from '@/core/uses/catalogue';

/** What a part of a piece is made of. */
export type Stuff = 'sauce' | 'baked' | 'cream' | 'china' | 'glass';

/** Corners of a closed outline, m: from the axis, and along it. */
export type TurnedOutline = readonly (readonly [radius: number, along: number])[];

/** One part of a piece: turned about an upright or a lying axis, or a block; m. */
export type BodyPart =
  | { readonly kind: 'turned'; readonly stuff: Stuff; readonly outline: TurnedOutline; readonly isCut: boolean }
  | { readonly kind: 'lying'; readonly stuff: Stuff; readonly outline: TurnedOutline; readonly axisM: number }
  | {
      readonly kind: 'block';
      readonly stuff: Stuff;
      readonly x: number;
      readonly size: readonly [wide: number, high: number, deep: number];
    }
  /** drips that run down an upright side, from an edge so high: as long as they run at the thick and at the thin edge of what is asked */
  | {
      readonly kind: 'drips';
      readonly radiusM: number;
      readonly topM: number;
      readonly shortestM: number;
      readonly longestM: number;
    };

/** How much of a sauce a use takes, m. */
interface Measure {
  /** of coat, depth or height */
  readonly thick: number;
  /** how far a drip runs at the thick and at the thin edge of what is asked */
  readonly drips?: readonly [shortest: number, longest: number] | undefined;
}

/** Points on a quarter of a round end. */
const QUARTER = 8;
/** A round cake, and how high it is, m. */
const CAKE = { radius: 0.036, high: 0.042 } as const;
/** A finger, half its length, and where it is cut through, m. */
const FINGER = { radius: 0.019, half: 0.05, cut: 0.042 } as const;

const turned = (stuff: Stuff, outline: TurnedOutline, isCut = true): BodyPart => ({
  kind: 'turned',
  stuff,
  outline,
  isCut,
});

/** A disc from one height to another. */
const disc = (stuff: Stuff, radius: number, from: number, to: number): BodyPart =>
  turned(stuff, [
    [0, from],
    [radius, from],
    [radius, to],
    [0, to],
  ]);

/** Points of a circle about the axis between two angles from its lower end, rad. */
const arc = (radius: number, middle: number, from: number, to: number): TurnedOutline =>
  Array.from({ length: 2 * QUARTER + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / (2 * QUARTER);
    return [radius * Math.sin(angle), middle - radius * Math.cos(angle)] as const;
  });

/** A finger's outline, so far outside of it: round at one end, cut at the other. */
const fingerSide = (out: number): TurnedOutline => [
  ...arc(FINGER.radius + out, -FINGER.half + FINGER.radius, 0, Math.PI / 2),
  [FINGER.radius + out, FINGER.cut],
];

/** A cake under a coat: its top, and its side as far down as is asked. */
function coatedCake({ thick, drips }: Measure, side: number, down: number): readonly BodyPart[] {
  const { radius, high } = CAKE;
  const coat: TurnedOutline = [
    [0, high],
    [radius, high],
    [radius, high - down],
    [radius + side, high - down],
    [radius + side, high + 0.5 * thick],
    [radius + 0.3 * side, high + thick],
    [0, high + thick],
  ];
  return [
    disc('baked', radius, 0, high),
    turned('sauce', coat),
    ...(drips
      ? [{ kind: 'drips', radiusM: radius, topM: high, shortestM: drips[0], longestM: drips[1] } as const]
      : []),
  ];
}

/** Something held in the sauce: its lower part is coated. */
const dipped = ({ thick }: Measure, radius: number, stuff: Stuff): readonly BodyPart[] => {
  const [long, deep] = [0.075, 0.046];
  return [
    disc(stuff, radius, thick, long),
    turned('sauce', [
      [0, 0],
      [0.6 * (radius + thick), 0],
      [radius + thick, 1.4 * thick],
      [radius + thick, deep],
      [radius, deep],
      [radius, thick],
      [0, thick],
    ]),
  ];
};

/** A glass with so much in it. */
const inGlass = (full: number): readonly BodyPart[] => [
  turned(
    'glass',
    [
      [0, 0],
      [0.026, 0],
      [0.032, 0.07],
      [0.0305, 0.07],
      [0.0248, 0.003],
      [0, 0.003],
    ],
    false,
  ),
  turned(
    'sauce',
    [
      [0, 0.003],
      [0.0246, 0.003],
      [0.0246 + 0.085 * full, full],
      [0, full],
    ],
    false,
  ),
];

const BODIES: Readonly<Record<JobUse, (measure: Measure) => readonly BodyPart[]>> = {
  coat: ({ thick }) => [
    {
      kind: 'lying',
      stuff: 'baked',
      outline: [...fingerSide(0), [0, FINGER.cut]],
      axisM: FINGER.radius,
    },
    {
      kind: 'lying',
      stuff: 'sauce',
      outline: [...fingerSide(thick), ...[...fingerSide(0)].reverse()],
      axisM: FINGER.radius,
    },
  ],
  glaze: (measure) => coatedCake(measure, 0.7 * measure.thick, 0.4 * CAKE.high),
  cover: (measure) => coatedCake({ thick: measure.thick }, measure.thick, CAKE.high),
  nap: ({ thick }) => {
    const [radius, middle, under] = [0.026, 0.02, 1.25];
    return [
      turned('cream', [...arc(radius, middle, Math.acos(middle / radius), Math.PI), [0, 0]]),
      turned('sauce', [
        ...arc(radius + thick, middle, under, Math.PI),
        ...[...arc(radius, middle, under, Math.PI)].reverse(),
      ]),
    ];
  },
  pool: ({ thick }) => [
    turned(
      'china',
      [
        [0, -0.004],
        [0.045, -0.004],
        [0.062, 0.006],
        [0.0615, 0.0075],
        [0.045, 0],
        [0, 0],
      ],
      false,
    ),
    turned('sauce', [
      [0, 0],
      [0.036, 0],
      [0.036 - 0.3 * thick, 0.8 * thick],
      [0.036 - thick, thick],
      [0, thick],
    ]),
  ],
  dip: (measure) => dipped(measure, 0.008, 'baked'),
  fondue: (measure) => dipped(measure, 0.014, 'cream'),
  drink: () => inGlass(0.056),
  tart: ({ thick }) => {
    const [inside, wall, base] = [0.036, 0.0035, 0.0035];
    const high = base + Math.max(thick + 0.002, 0.012);
    return [
      turned('baked', [
        [0, 0],
        [inside + wall, 0],
        [inside + 1.6 * wall, high],
        [inside + 0.4 * wall, high],
        [inside, base],
        [0, base],
      ]),
      disc('sauce', inside + 0.0004, base, base + thick),
    ];
  },
  shell: () => [
    turned('china', [...arc(0.018, 0.018, 0, Math.PI)]),
    turned('sauce', [...arc(0.016, 0.018, 0, Math.PI)]),
  ],
  layers: ({ thick }) => {
    const baked = 0.012;
    return [0, 1, 2].flatMap((i) => {
      const from = i * (baked + thick);
      const layer = disc('baked', CAKE.radius, from, from + baked);
      return i < 2 ? [layer, disc('sauce', CAKE.radius, from + baked, from + baked + thick)] : [layer];
    });
  },
  sandwich: ({ thick }) => {
    const [radius, high] = [0.022, 0.009];
    const half = (from: number, isUpper: boolean) =>
      turned('baked', [
        [0, from],
        [isUpper ? radius : 0.8 * radius, from],
        [radius, from + 0.4 * high],
        [isUpper ? 0.7 * radius : radius, from + high],
        [0, from + high],
      ]);
    return [half(0, false), disc('sauce', 0.93 * radius, high, high + thick), half(high + thick, true)];
  },
  pipe: ({ thick }) => {
    const [wide, tiers] = [Math.min(0.5 * thick, 0.04), 3];
    const side = Array.from({ length: 8 * tiers + 1 }, (_, i) => {
      const along = i / (8 * tiers);
      return [wide * (1 - along) ** 0.8 * (1 + 0.12 * Math.sin(2 * Math.PI * tiers * along)), thick * along] as const;
    });
    return [turned('sauce', [[0, 0], ...side], false)];
  },
  roll: () => [turned('sauce', arc(0.014, 0.014, 0, Math.PI))],
  cut: ({ thick }) =>
    [-0.036, 0, 0.036].map((x) => ({ kind: 'block', stuff: 'sauce', x, size: [0.03, thick, 0.03] }) as const),
  spoon: () => inGlass(0.045),
  whip: () => inGlass(0.062),
};

/**
 * A use as bodies in true size: what carries the sauce, and so much sauce on it.
 *
 * @param mm of coat, depth or height, above 0
 * @param dripsMm how far a drip runs at the thick and at the thin edge of what is asked; without them it does not drip
 */
export function bodyOfUse(use: JobUse, mm: number, dripsMm?: readonly [shortest: number, longest: number]) {
  const drips = dripsMm && ([dripsMm[0] / 1000, dripsMm[1] / 1000] as const);
  return BODIES[use]({ thick: mm / 1000, drips });
}
