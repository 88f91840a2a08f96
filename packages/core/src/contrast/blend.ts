/** A colour: red, green, blue (0 to 255) and opacity (0 to 1), in sRGB. */
export type Rgba = readonly [red: number, green: number, blue: number, alpha: number];

/** `#rrggbb` or `#rrggbbaa` as a colour. */
export function rgbaOf(hex: string): Rgba {
  const [red = 0, green = 0, blue = 0, alpha = 255] = [1, 3, 5, 7]
    .map((at) => hex.slice(at, at + 2))
    .filter((digits) => digits !== '')
    .map((digits) => Number.parseInt(digits, 16));
  return [red, green, blue, alpha / 255];
}

/** A colour as `#rrggbb`, as screens show it. */
export function opaqueHex([red, green, blue]: Rgba): string {
  return `#${[red, green, blue].map((one) => Math.round(one).toString(16).padStart(2, '0')).join('')}`;
}

/** One colour over an opaque one (source-over, as browsers blend: in sRGB). */
export function over([red, green, blue, alpha]: Rgba, [r, g, b]: Rgba): Rgba {
  const mixed = (top: number, below: number): number => top * alpha + below * (1 - alpha);
  return [mixed(red, r), mixed(green, g), mixed(blue, b), 1];
}

/** A colour between two, all of whose parts are mixed alike. `share`: of the second. */
export function between(one: Rgba, other: Rgba, share: number): Rgba {
  // Gradients are interpolated with opacity multiplied in (CSS Images 4, 3.5).
  const alpha = one[3] + (other[3] - one[3]) * share;
  if (alpha === 0) return [0, 0, 0, 0];
  const part = (at: 0 | 1 | 2): number =>
    (one[at] * one[3] * (1 - share) + other[at] * other[3] * share) / alpha;
  return [part(0), part(1), part(2), alpha];
}

/** The relative luminance of an opaque colour (WCAG 2.2). */
export function luminanceOf([red, green, blue]: Rgba): number {
  const linear = (part: number): number => {
    const share = part / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
}

/** The contrast of two opaque colours, from 1 to 21 (WCAG 2.2). */
export function ratioOf(one: Rgba, other: Rgba): number {
  const [a, b] = [luminanceOf(one), luminanceOf(other)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}
