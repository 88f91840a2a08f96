import { Check } from 'typebox/value';
import { settingFields, settingNames, type Settings } from './settings.ts';

/** The settings in something that came from outside; what is none of ours, or does not fit, is left out. */
export function readSettings(given: unknown): Settings {
  if (typeof given !== 'object' || given === null) return {};
  const found = given as Record<string, unknown>;
  return Object.fromEntries(
    settingNames.filter((name) => Check(settingFields[name], found[name])).map((name) => [name, found[name]]),
  ) as Settings;
}
