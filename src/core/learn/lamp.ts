/** How a lamp is seen in the surface, with the shine index each stands for (J). */
export const LAMP_SHINE = { mirror: 88, edgeClear: 72, edgeSoft: 55, glow: 38, dull: 18 } as const;
export type LampSeen = keyof typeof LAMP_SHINE;
