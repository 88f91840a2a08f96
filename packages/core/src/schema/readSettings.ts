import { Check } from 'typebox/value';
import { withoutColours } from './oldColours.ts';
import { StarterStyleShape, type StarterStyle } from './ownStarter.ts';
import { settingFields, settingNames, type Settings } from './settings.ts';

/** The settings of an item as files have them: with the looks that were set for it. */
export type PortableSettings = Settings & { readonly looks?: readonly StarterStyle[] };

/** More looks of one item than anybody sets are not read. */
const MOST_LOOKS = 100;

/**
 * The settings in something that came from outside; what is none of ours, or does not fit, is left out. Colours among
 * the settings, as files had them once, are looks.
 */
export function readSettings(given: unknown): PortableSettings {
  if (typeof given !== 'object' || given === null) return {};
  const { settings: found, looks: colours } = withoutColours(given as Readonly<Record<string, unknown>>);
  const listed: readonly unknown[] = Array.isArray(found.looks) ? found.looks.slice(0, MOST_LOOKS) : [];
  const looks = [...colours, ...listed.filter((one) => Check(StarterStyleShape, one))];
  const settings = Object.fromEntries(
    settingNames.filter((name) => Check(settingFields[name], found[name])).map((name) => [name, found[name]]),
  ) as Settings;
  return { ...settings, ...(looks.length === 0 ? {} : { looks }) };
}
