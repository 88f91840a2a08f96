import {
  clampChroma,
  converter,
  formatHex,
  formatHex8,
  modeHsl,
  modeLab,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  parse,
  useMode,
  wcagContrast,
  type Oklch,
} from 'culori/fn';

for (const mode of [modeRgb, modeLrgb, modeHsl, modeLab, modeLch, modeOklab, modeOklch])
  useMode(mode as typeof modeRgb);
const toOklch = converter('oklch');
const toRgb = converter('rgb');

/**
 * A colour as people write it in CSS (`#abc`, `rgb()`, `hsl()`, `oklch()`, a name) as `#rrggbb`, the nearest that
 * screens can show, or as `#rrggbbaa` where it is translucent; null: that is no colour.
 */
export function readColour(text: string): string | null {
  const plain = text.trim();
  if (!/^[#\w(), .%/+-]{1,80}$/.test(plain)) return null;
  const read = parse(plain);
  if (read === undefined) return null;
  const near = clampChroma(read, 'oklch', 'rgb');
  return (near.alpha ?? 1) < 1 ? formatHex8(near) : formatHex(near);
}

/** The red, green and blue (0 to 255) of a colour by lightness, chroma and hue; null: no screen shows it. */
export function rgbOf(l: number, c: number, h: number): readonly [number, number, number] | null {
  const { r, g, b } = toRgb({ mode: 'oklch', l, c, h });
  const all = [r, g, b].map((one) => Math.round(one * 2550) / 10);
  if (all.some((one) => one < 0 || one > 255)) return null;
  const [red = 0, green = 0, blue = 0] = all.map(Math.round);
  return [red, green, blue];
}

/** A colour by lightness (0 to 1), chroma and hue (degrees; 0 for greys): OKLCH (B. Ottosson, 2020). */
export function oklchOf(hex: string): { readonly l: number; readonly c: number; readonly h: number } {
  const { l, c, h = 0 } = toOklch(hex) as Oklch;
  return { l, c, h };
}

/** The nearest colour that screens can show, by reducing chroma alone, as `#rrggbb`. */
export function hexOf(l: number, c: number, h: number): string {
  return formatHex(clampChroma({ mode: 'oklch', l: Math.max(0, Math.min(1, l)), c, h }, 'oklch', 'rgb'));
}

/** The lightnesses of a colour’s family, in percent: its tints and shades. */
export const colourSteps = [96, 90, 80, 70, 60, 50, 40, 30, 20, 12] as const;

/**
 * A tint or shade of a colour: its hue at another lightness (in percent). What is nearly white or black has less
 * chroma, so that a family stays calm at its ends.
 */
export function stepOf(hex: string, lightness: number): string {
  const { l, c, h } = oklchOf(hex);
  const to = lightness / 100;
  const room = (at: number): number => Math.min(1, 4 * at * (1 - at) + 0.15);
  return hexOf(to, c * Math.min(1, room(to) / Math.max(0.2, room(l))), h);
}

/**
 * What a colour is where light and dark change places: its hue, as light as it was dark, but for black and white
 * themselves, which would be too much at night. What can be told apart still can.
 */
export function darkOf(hex: string): string {
  const { l, c, h } = oklchOf(hex);
  return hexOf(1.15 - 0.95 * l, c * (l > 0.6 ? 1 : 0.85), h);
}

/** The contrast of two opaque colours, from 1 to 21 (WCAG 2.2, 1.4.3). */
export function contrastOf(one: string, other: string): number {
  return wcagContrast(one, other);
}
