import { sentence } from '../base/sentences.ts';
import { PresetShape } from '../schema/preset.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Removes a preset. Panels that were made with it stay as they are. */
export type RemovePreset = Branch<'removePreset', 'presets'>;

export const removePreset = defineRemove(
  'removePreset',
  'addPreset',
  'presets',
  PresetShape,
  (_, operation) => sentence('presetRemoved', { label: topOf(operation).name }),
);
