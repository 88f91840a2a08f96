import type { Dropdown, DropdownForm, ListFacts, PanelFacts } from '../schema/dropdown.ts';

type Changes<F> = { readonly [K in keyof F]?: F[K] | null };

/**
 * What is to be otherwise about a dropdown; null gives a setting its usual value. What is not named stays.
 */
export interface DropdownChanges {
  readonly form?: DropdownForm;
  readonly opens?: Dropdown['opens'] | null;
  readonly list?: Changes<ListFacts>;
  readonly panel?: Changes<PanelFacts>;
}

/**
 * A dropdown with changes in it; null where it is a plain list with nothing else set, which needs not be
 * kept.
 */
export function dropdownWith(
  dropdown: Dropdown | null,
  { form, opens, list = {}, panel = {} }: DropdownChanges,
  /** What drops where an item says nothing. */
  usual: DropdownForm = 'list',
): Dropdown | null {
  const before: Dropdown = dropdown ?? { form: usual };
  const made = withoutEmpty({
    ...before,
    ...(form === undefined ? {} : { form }),
    ...(opens === undefined ? {} : { opens }),
    list: withoutEmpty({ ...before.list, ...list }),
    panel: withoutEmpty({ ...before.panel, ...panel }),
  }) as Dropdown;
  return made.form === usual && Object.keys(made).length === 1 ? null : made;
}

function withoutEmpty(facts: object): object {
  const isSet = (value: unknown): boolean =>
    value !== undefined && value !== null && (typeof value !== 'object' || Object.keys(value).length > 0);
  return Object.fromEntries(Object.entries(facts).filter(([, value]) => isSet(value)));
}
