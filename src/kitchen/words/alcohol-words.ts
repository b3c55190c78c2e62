/** % vol from which it is alcohol to keep from children, the usual limit of what is sold as free of it (J). */
export const ALCOHOL_NOT_FOR_CHILDREN = 0.5;
/** Below this there is none worth a word, % vol. */
export const ALCOHOL_TRACE = 0.05;

/** Alcohol as it is said: from the limit on to keep from children, below it as the trace it is; nothing where there is none. */
export function alcoholWords(percentVol: number, figure: (value: number) => string): string | undefined {
  if (percentVol >= ALCOHOL_NOT_FOR_CHILDREN) return `${figure(percentVol)} % vol: not for children`;
  return percentVol > ALCOHOL_TRACE ? `${figure(percentVol)} % vol: a trace, as from vanilla` : undefined;
}
