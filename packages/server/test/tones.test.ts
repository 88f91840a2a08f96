import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { makePicture } from '../src/editing/makePicture.ts';
import { tonesOf, type Dots } from '../src/editing/tonesOf.ts';

/** A picture that has a colour at each place: red, green, blue, opacity. */
function drawn(width: number, height: number, at: (x: number, y: number) => readonly number[]): Dots {
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) data.set(at(x, y), (y * width + x) * 4);
  return { data, width, height };
}

describe('the tones of a picture', () => {
  it('go from the darkest to the lightest place, and single dots do not count', () => {
    const halves = drawn(60, 40, (x, y) =>
      x === 10 && y === 10 ? [255, 0, 255, 255] : x < 30 ? [0, 0, 0, 255] : [255, 255, 255, 255],
    );
    const tones = tonesOf(halves);
    expect([tones[0], tones.at(-1)]).toEqual(['#000000', '#ffffff']);
    expect(tonesOf(drawn(20, 20, () => [40, 120, 80, 255]))).toEqual(['#287850']);
  });

  it('are averages of nine dots: a fine pattern is seen as what lies between its colours', () => {
    const checked = drawn(50, 50, (x, y) => ((x + y) % 2 === 0 ? [0, 0, 0, 255] : [255, 255, 255, 255]));
    for (const tone of tonesOf(checked)) {
      const part = Number.parseInt(tone.slice(1, 3), 16);
      expect(part).toBeGreaterThan(85);
      expect(part).toBeLessThan(170);
    }
  });

  it('say where what is behind the picture is seen, and have no colour of what is not there', () => {
    const cut = drawn(40, 40, (x) => (x < 20 ? [255, 0, 0, 0] : [0, 0, 255, 255]));
    expect(tonesOf(cut)).toEqual(['#00000000', '#0000ff']);
    expect(tonesOf(drawn(4, 4, () => [0, 0, 0, 0]))).toEqual(['#00000000']);
  });

  it('come with an uploaded picture, a drawing too', async () => {
    const dots = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#3a5a24' } })
      .png()
      .toBuffer();
    const drawing = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="40"><rect width="40" height="40" fill="#102030"/></svg>',
    );
    for (const [bytes, tone] of [
      [dots, '#3a5a24'],
      [drawing, '#102030'],
    ] as const) {
      const made = await makePicture(bytes);
      expect(made.ok && made.value.tones).toContain(tone);
    }
  });
});
