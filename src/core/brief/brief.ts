import type { Gate } from '../formula/gates';
import type { Moment } from '../formula/moments';
import type { HOB_EFFICIENCY } from '../pan/heat-source';
import type { Restriction } from '../swap/restrictions';
import type { Job } from './job';

/** How much it should shine, and taste. */
export const SHINES = ['any', 'satin', 'high'] as const;
export const TASTES = ['any', 'bitter', 'balanced', 'sweet'] as const;
/** What it may be thickened with beside its chocolate. */
export const THICKENERS = ['any', 'chocolate', 'starch', 'gelatin'] as const;
/** How the liquid is heated. */
export const HEATS = ['none', 'simmer', 'boil'] as const;

export type Shine = (typeof SHINES)[number];
export type TasteWish = (typeof TASTES)[number];
export type Thickener = (typeof THICKENERS)[number];
export type Heat = (typeof HEATS)[number];

/** What is wanted beside the jobs. */
export interface Wishes {
  readonly shine: Shine;
  readonly taste: TasteWish;
  /** least cocoa %, as on a chocolate's label */
  readonly cocoaPercent?: number | undefined;
  /** days it must keep; nothing when eaten at once */
  readonly keepDays?: number | undefined;
  readonly keepIn: 'fridge' | 'room';
  /** most a portion may cost, in the money of the kitchen */
  readonly portionCost?: number | undefined;
  readonly without: readonly Restriction[];
  readonly thickener: Thickener;
}

/** How it is cooked and what is lost on the way. */
export interface Making {
  readonly heat: Heat;
  readonly minutes: number;
  readonly hob: keyof typeof HOB_EFFICIENCY;
  readonly powerW: number;
  /** cm across the pan's base */
  readonly panCm: number;
  /** part of the finished batch that stays in bowl and bag, % */
  readonly bowlPercent: number;
  /** kept in hand, % */
  readonly reservePercent: number;
}

/** Moments and gates the cook set on the bench, beside what the brief gives. */
export interface SetByHand {
  /** `over` is the brief's moment it stands for, while the brief still gives that one; without it, it is the cook's own */
  readonly moments: readonly { readonly moment: Moment; readonly over?: Moment | undefined }[];
  /** over a wish's gate of the same moment and quantity, or beside all others */
  readonly gates: readonly Gate[];
}

/** What a batch must do, for how many, when and where. */
export interface Brief {
  /** one or more; the first leads */
  readonly jobs: readonly Job[];
  readonly kitchenC: number;
  /** day and time it is wanted, on this kitchen's clock: `2026-12-05T17:30` */
  readonly wantedAt?: string | undefined;
  readonly wishes: Wishes;
  readonly making: Making;
  readonly byHand?: SetByHand | undefined;
}

/** A brief before anything is said but the job. */
export const USUAL_WISHES: Wishes = { shine: 'any', taste: 'any', keepIn: 'fridge', without: [], thickener: 'any' };
export const USUAL_MAKING: Making = {
  heat: 'simmer',
  minutes: 2,
  hob: 'induction',
  powerW: 2000,
  panCm: 20,
  bowlPercent: 3,
  reservePercent: 5,
};
