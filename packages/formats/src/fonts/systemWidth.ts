/**
 * About how wide a text is in a font of the visitor’s system, in px: each system has another one. The widths are those
 * that the common system fonts share (of Liberation Sans and Serif, measured once), kerning left out.
 */
export function systemWidth(
  text: string,
  {
    stack,
    size,
    weight,
    letterSpacing,
    wordSpacing,
  }: {
    /** The font as CSS names it, such as `system-ui, sans-serif`. */
    readonly stack: string;
    readonly size: number;
    readonly weight: number;
    readonly letterSpacing: number;
    readonly wordSpacing: number;
  },
): number {
  const isBold = weight >= BOLD;
  const isSerif = /(?<![-\w])(?:ui-)?serif/.test(stack);
  const own = isSerif ? (isBold ? table.boldSerif : table.serif) : isBold ? table.boldSans : table.sans;
  let sum = 0;
  for (const sign of text.normalize('NFD')) {
    if (/\p{Mn}/u.test(sign)) continue;
    const width = stack.includes('monospace')
      ? MONO
      : (own[(sign.codePointAt(0) ?? 0) - FIRST] ?? usual(sign));
    sum += (width / EM) * size + letterSpacing + (sign === ' ' || sign === '\u00a0' ? wordSpacing : 0);
  }
  return Math.max(0, sum);
}

/** From this weight on, systems take their bold face. */
const BOLD = 600;
/** Widths are in thousandths of the size of the text. */
const EM = 1000;
const MONO = 600;
/** The tables begin with the space. */
const FIRST = 0x20;

/** What has no width in the tables: square signs are as wide as the text is high, all else as a letter. */
function usual(sign: string): number {
  return /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Extended_Pictographic}\uff00-\uff60]/u.test(
    sign,
  )
    ? EM
    : 556;
}

const widths = (row: string): readonly number[] => row.split(' ').map(Number);
/** Of the signs from the space to the tilde. */
const table = {
  sans: widths(
    '278 278 355 556 556 889 667 191 333 333 389 584 278 333 278 278 556 556 556 556 556 556 556 556 556 556 278 278 584 584 584 556 1015 667 667 722 722 667 611 778 722 278 500 667 556 833 722 778 667 778 722 667 611 722 667 944 667 667 611 278 278 278 469 556 333 556 556 500 556 556 278 556 556 222 222 500 222 833 556 556 556 556 333 500 278 556 500 722 500 500 500 334 260 334 584',
  ),
  boldSans: widths(
    '278 333 474 556 556 889 722 238 333 333 389 584 278 333 278 278 556 556 556 556 556 556 556 556 556 556 333 333 584 584 584 611 975 722 722 722 722 667 611 778 722 278 556 722 611 833 722 778 667 778 722 667 611 722 667 944 667 667 611 333 278 333 584 556 333 556 611 556 611 556 333 611 611 278 278 556 278 889 611 611 611 611 389 556 333 611 556 778 556 556 500 389 280 389 584',
  ),
  serif: widths(
    '250 333 408 500 500 833 778 180 333 333 500 564 250 333 250 278 500 500 500 500 500 500 500 500 500 500 278 278 564 564 564 444 921 722 667 667 722 611 556 722 722 333 389 722 611 889 722 722 556 722 667 556 611 722 722 944 722 722 611 333 278 333 469 500 333 444 500 444 500 444 333 500 500 278 278 500 278 778 500 500 500 500 333 389 278 500 500 722 500 500 444 480 200 480 541',
  ),
  boldSerif: widths(
    '250 333 555 500 500 1000 833 278 333 333 500 570 250 333 250 278 500 500 500 500 500 500 500 500 500 500 333 333 570 570 570 500 930 722 667 722 722 667 611 778 778 389 500 778 667 944 722 778 611 778 722 556 667 722 722 1000 722 722 667 333 278 333 581 500 333 500 556 444 556 444 333 500 556 278 333 556 278 833 556 500 556 556 444 389 333 556 500 722 500 500 444 394 220 394 520',
  ),
};
