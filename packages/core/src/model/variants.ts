import type { Site } from '../schema/site.ts';
import type { Looks } from '../starters/starter.ts';
import { shippedVariants } from '../starters/variants.ts';

/** A look that buttons and links can have, by its name. */
export interface Variant {
  readonly key: string;
  readonly name: string;
  /** Of one that ships: how it looks before anybody sets anything. */
  readonly looks?: Looks;
}

/** The look of plain buttons, which is no variant: every site has it. */
export const PLAIN_BUTTON = 'button';

/** All variants of a site: those that ship first. */
export function variantsOf({ variants: own = {} }: Pick<Site, 'variants'>): Variant[] {
  const shipped = Object.entries(shippedVariants).map(([key, variant]) => ({ key, ...variant }));
  return [...shipped, ...Object.entries(own).map(([key, { name }]) => ({ key, name }))];
}

/** A variant of a site by its key; null: it has none with that key. */
export function variantNamed(site: Pick<Site, 'variants'>, key: string): Variant | null {
  return variantsOf(site).find((one) => one.key === key) ?? null;
}

/** The class of what has a variant's look. */
export function variantClass(variant: string): string {
  return `zv-as-${variant}`;
}
