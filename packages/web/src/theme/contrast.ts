/**
 * The contrast of two opaque colours, `#rrggbb` or `#rgb`, from 1 to 21 (WCAG 2.2, "contrast ratio" and
 * "relative luminance").
 */
export function contrast(a: string, b: string): number {
  const [dark = 0, light = 0] = [luminance(a), luminance(b)].toSorted((x, y) => x - y);
  return (light + 0.05) / (dark + 0.05);
}

function luminance(hex: string): number {
  const color = hex.length === 4 ? hex.replaceAll(/[\da-f]/gi, (digit) => digit + digit) : hex;
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(color.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}
