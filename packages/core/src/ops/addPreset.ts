import { sentence } from '../base/sentences.ts';
import { PresetShape } from '../schema/preset.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Keeps a composition of a panel for other items to use. */
export type AddPreset = Branch<'addPreset', 'presets'>;

export const addPreset = defineAdd('addPreset', 'removePreset', 'presets', PresetShape, (_, operation) =>
  sentence('presetAdded', { label: topOf(operation).name }),
);
