/** A picture as it is unpacked: red, green, blue and opacity of each dot, from 0 to 255, row by row. */
export interface Dots {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Which shares of all places are darker than each tone: the ends without what only single dots have. */
const SHARES = [0.01, 0.1, 0.3, 0.5, 0.7, 0.9, 0.99] as const;
/** In how many steps luminance is told apart. */
const STEPS = 1024;
/** What lets so much of what is behind it through counts as a hole, of 255; so many places need holes. */
const HOLE = 128;
const SOME = 0.01;

/**
 * The colours that text over a picture can have behind it, from the darkest to the lightest: at the 1st percentile of
 * luminance, the 99th and some between them, each of an average of 3 by 3 dots, as eyes take them together. `#rrggbb`,
 * and `#00000000` first where the picture lets what is behind it through. O(dots).
 */
export function tonesOf(dots: Dots): string[] {
  const { width, height } = dots;
  const counts = new Uint32Array(STEPS);
  const sums = new Float64Array(STEPS * 3);
  let [places, holes] = [0, 0];
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [red, green, blue, alpha] = averageAt(dots, x, y);
      if (alpha < HOLE) {
        holes += 1;
        continue;
      }
      const step = Math.min(STEPS - 1, Math.floor(luminanceOf(red, green, blue) * STEPS));
      counts[step] = (counts[step] ?? 0) + 1;
      for (const [at, part] of [red, green, blue].entries())
        sums[step * 3 + at] = (sums[step * 3 + at] ?? 0) + part;
      places += 1;
    }
  const tones = new Set<string>(holes > SOME * width * height ? ['#00000000'] : []);
  if (places > 0)
    for (const share of SHARES) {
      const step = stepAt(counts, share * places);
      const count = counts[step] ?? 1;
      const part = (at: number): string =>
        Math.round((sums[step * 3 + at] ?? 0) / count)
          .toString(16)
          .padStart(2, '0');
      tones.add(`#${part(0)}${part(1)}${part(2)}`);
    }
  return [...tones];
}

/** The average around a dot; what is seen through counts as much as it is there. */
function averageAt(
  { data, width, height }: Dots,
  x: number,
  y: number,
): readonly [number, number, number, number] {
  let [red, green, blue, alpha, count] = [0, 0, 0, 0, 0];
  for (let row = Math.max(0, y - 1); row <= Math.min(height - 1, y + 1); row += 1)
    for (let column = Math.max(0, x - 1); column <= Math.min(width - 1, x + 1); column += 1) {
      const at = (row * width + column) * 4;
      const own = data[at + 3] ?? 0;
      red += (data[at] ?? 0) * own;
      green += (data[at + 1] ?? 0) * own;
      blue += (data[at + 2] ?? 0) * own;
      alpha += own;
      count += 1;
    }
  return alpha === 0 ? [0, 0, 0, 0] : [red / alpha, green / alpha, blue / alpha, alpha / count];
}

/** Below which step so many places are. */
function stepAt(counts: Uint32Array, wanted: number): number {
  let below = 0;
  for (let step = 0; step < counts.length; step += 1) {
    below += counts[step] ?? 0;
    if (below >= wanted && below > 0) return step;
  }
  return counts.length - 1;
}

/** Relative luminance, from 0 to 1 (WCAG 2.2). */
function luminanceOf(red: number, green: number, blue: number): number {
  return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
}
const linears = Float64Array.from({ length: 256 }, (_, part) => {
  const share = part / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});
function linear(part: number): number {
  return linears[Math.round(part)] ?? 0;
}
