'use client';

import { createContext, type ReactNode, use, useMemo } from 'react';
import {
  type Calibration,
  calibrationOf,
  KITCHEN_FROM_TESTS,
  type KitchenKnowledge,
  NOTHING_LEARNT,
} from '@/core/learn/kitchen';
import { choiceOf } from '../choice-of';
import { tabletSetting } from '../tablet-setting';

const CHOICES = ['kitchen', 'book'] as const;
type Choice = (typeof CHOICES)[number];

const KnowledgeContext = createContext<KitchenKnowledge>(NOTHING_LEARNT);
const useChoice = tabletSetting<Choice>('pours', (text) => choiceOf(CHOICES, text), 'kitchen');

/** Has everything below know what this kitchen's tests taught. */
export function PoursProvider({ knowledge, children }: { knowledge: KitchenKnowledge; children: ReactNode }) {
  return <KnowledgeContext value={knowledge}>{children}</KnowledgeContext>;
}

/** How figures are shown: as this kitchen pours once it has measured enough, or as the book has them. */
export function usePours() {
  const knowledge = use(KnowledgeContext);
  const [choice, choose] = useChoice();
  const canChoose = knowledge.tests >= KITCHEN_FROM_TESTS;
  const isKitchen = canChoose && choice === 'kitchen';
  return {
    knowledge,
    /** there are tests enough for figures of the kitchen's own */
    canChoose,
    isKitchen,
    /** what is predicted with; nothing for the standard figures */
    inUse: isKitchen ? knowledge : undefined,
    choose,
  };
}

/**
 * Whose figures this tablet predicts with.
 *
 * @param formula id of the formula that is predicted, where it is kept: its own tests count for more
 */
export function useCalibration(formula?: string): Calibration {
  const { inUse } = usePours();
  return useMemo(() => calibrationOf(inUse, formula), [inUse, formula]);
}
