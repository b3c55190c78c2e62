import { z } from 'zod';

/** What a scale says. */
export const scaleReadingSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('grams'), grams: z.number(), isStill: z.boolean() }),
  z.object({ kind: z.literal('overload') }),
  z.object({ kind: z.literal('lost') }),
]);
export type ScaleReading = z.output<typeof scaleReadingSchema>;

/** What a probe says. */
export const probeReadingSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('celsius'), temperatureC: z.number() }),
  z.object({ kind: z.literal('lost') }),
]);
export type ProbeReading = z.output<typeof probeReadingSchema>;

/** What both say at one moment. */
export const devicesReadingSchema = z.object({ scale: scaleReadingSchema, probe: probeReadingSchema });
export type DevicesReading = z.output<typeof devicesReadingSchema>;

/** Steps a scale shows, g. */
export const RESOLUTIONS_G = [0.1, 1, 5] as const;

/** What the practice set may be told: nothing of it exists with real devices but the tare. */
export const deviceOrderSchema = z.discriminatedUnion('order', [
  z.object({ order: z.literal('tare') }),
  /** so much is poured onto the scale, at a hand's pace */
  z.object({ order: z.literal('pour'), grams: z.number().min(0).max(20_000) }),
  z.object({ order: z.literal('clear') }),
  z.object({ order: z.literal('resolution'), grams: z.literal(RESOLUTIONS_G) }),
  z.object({ order: z.literal('lose'), what: z.enum(['scale', 'probe']), isLost: z.boolean() }),
  /** the practice set's own clock runs so many times as fast */
  z.object({ order: z.literal('speed'), times: z.number().min(1).max(120) }),
]);
export type DeviceOrder = z.output<typeof deviceOrderSchema>;
