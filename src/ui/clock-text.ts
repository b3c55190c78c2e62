/** Minutes and seconds, as a kitchen clock shows them; hours where there are some. */
export function clockText(seconds: number): string {
  const whole = Math.max(Math.round(Math.abs(seconds)), 0);
  const two = (value: number) => String(value).padStart(2, '0');
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
