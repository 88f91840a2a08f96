import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { presetFields } from '../schema/preset.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Changes a preset: its name, or what is in it. */
export type UpdatePreset = Update<'updatePreset', 'presets'>;

export const updatePreset = defineUpdate(
  'updatePreset',
  'presets',
  { always: presetFields, maybe: {} },
  (document, { id, set }) => {
    const was = nameOf(document, 'presets', id);
    return sentence('presetRenamed', { was, label: set.name ?? was });
  },
);
