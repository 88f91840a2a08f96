import type { StarterStyle } from './ownStarter.ts';

type Given = Readonly<Record<string, unknown>>;

/**
 * Settings whose icon and badge had colours (formats 1 to 9, and files from that time): without them, and the looks
 * that these amount to.
 */
export function withoutColours(given: Given): {
  readonly settings: Given;
  readonly looks: readonly StarterStyle[];
} {
  const settings: Record<string, unknown> = { ...given };
  const looks: StarterStyle[] = [];
  for (const thing of ['icon', 'badge'] as const) {
    const found = given[thing];
    if (typeof found !== 'object' || found === null || !('color' in found)) continue;
    const { color, background, ...plain } = found as Given;
    settings[thing] = plain;
    const values = Object.entries({ color, background }).filter(
      ([, value]) => typeof value === 'string' && /^#[0-9a-f]{6}$/.test(value),
    );
    if (values.length > 0) looks.push({ thing, ...Object.fromEntries(values) });
  }
  return { settings, looks };
}
