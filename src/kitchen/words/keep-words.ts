/** How closely the flow is kept, as a cook reads it. @param within ln */
export const closenessWords = (within: number) => `within ${Math.round(100 * Math.expm1(within))} %`;
