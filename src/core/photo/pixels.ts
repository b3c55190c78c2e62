/** A picture as a browser decodes it: rows of red, green, blue and alpha, 0-255 each. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** Light of a channel as it fell on the sensor, 0-1, by its code 0-255 (sRGB, IEC 61966-2-1, published). */
const LINEAR = Float32Array.from({ length: 256 }, (_, code) => {
  const c = code / 255;
  return c <= 0.040_45 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});

/** The code 0-255 of an amount of light 0-1. */
export const srgbCode = (light: number): number =>
  255 * (light <= 0.003_130_8 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);

export const linear = (code: number): number => LINEAR[code] ?? 0;

/**
 * A picture made smaller by whole pixels, so that its longer side is at most so long: each new pixel is the mean of those it stands for.
 *
 * @param longest px, 1 or more
 * @returns the picture, and how many of the old pixels make one of the new
 */
export function shrunk(pixels: Pixels, longest: number): { readonly pixels: Pixels; readonly times: number } {
  const times = Math.max(1, Math.ceil(Math.max(pixels.width, pixels.height) / longest));
  if (times === 1) return { pixels, times };
  const width = Math.floor(pixels.width / times);
  const height = Math.floor(pixels.height / times);
  const data = new Uint8ClampedArray(4 * width * height);
  const share = 1 / (times * times);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      let red = 0;
      let green = 0;
      let blue = 0;
      for (let dy = 0; dy < times; dy++) {
        let k = 4 * ((y * times + dy) * pixels.width + x * times);
        for (let dx = 0; dx < times; dx++, k += 4) {
          red += pixels.data[k] as number;
          green += pixels.data[k + 1] as number;
          blue += pixels.data[k + 2] as number;
        }
      }
      const at = 4 * (y * width + x);
      data[at] = red * share;
      data[at + 1] = green * share;
      data[at + 2] = blue * share;
      data[at + 3] = 255;
    }
  }
  return { pixels: { width, height, data }, times };
}
