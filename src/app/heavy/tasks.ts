import { type KitchenReading, learnKitchen } from '@/core/learn/kitchen';
import type { BenchCard } from '@/features/card/bench-card';
import { cardPdf } from '@/features/card/card-pdf';
import { type LabelPrint, labelPdf } from '@/features/label/label-pdf';
import type { MethodPaper } from '@/features/method/method-paper';
import { methodPdf } from '@/features/method/method-pdf';
import { type BackupParts, packParts, unpackReadable } from '@/server/backup/pack';

type Progress = (share: number) => void;

/** All heavy work by its name; plain data in and out. */
export const TASKS = {
  labelPdf: (print: LabelPrint) => labelPdf(print),
  cardPdf: (card: BenchCard) => cardPdf(card),
  methodPdf: (paper: MethodPaper) => methodPdf(paper),
  packBackup: (parts: BackupParts, onProgress: Progress) => packParts(parts, onProgress),
  unpackBackup: ({ bytes, schemas }: { bytes: Uint8Array; schemas: readonly string[] }, onProgress: Progress) =>
    unpackReadable(bytes, schemas, onProgress),
  learn: async (readings: readonly KitchenReading[]) => learnKitchen(readings),
} as const;

export const isTask = (name: string): name is keyof typeof TASKS => Object.hasOwn(TASKS, name);
