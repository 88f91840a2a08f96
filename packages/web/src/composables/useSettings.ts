import { computed } from 'vue';
import { faceOf, isEqual, setItems, type Face, type ItemChanges, type SettingName } from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** A setting as the chosen items have it: what all of them have, or that they differ. */
export interface Common<T> {
  readonly value: T | null;
  readonly isMixed: boolean;
}

type Named = SettingName | 'opensNewTab';

/** The settings of what is chosen, and setting one for all of it at once. */
export function useSettings() {
  const copy = useWorkingCopy();
  const selection = useSelection();

  const faces = computed((): Face[] => {
    const { document } = copy;
    if (document === null) return [];
    return selection.chosen.flatMap((id) => {
      const item = document.items.nodes.get(id);
      return item === undefined ? [] : [faceOf(document, item)];
    });
  });

  function common<K extends Named>(name: K): Common<Exclude<Face[K], undefined>> {
    const [first, ...rest] = faces.value.map((face) => face[name] ?? null);
    const isMixed = rest.some((one) => !isEqual(one, first ?? null));
    return { value: isMixed ? null : ((first ?? null) as Exclude<Face[K], undefined> | null), isMixed };
  }

  /** Sets for all that is chosen; gives what is wrong with it, or null. */
  function set(changes: ItemChanges, kind: string | null = null): string | null {
    const done = copy.perform((context) => setItems(context, selection.chosen, changes), kind);
    return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
  }

  /** Keeps what is typed into a field of a setting; `toValue` makes the setting of it. */
  function keepTyped<K extends Named>(name: K, toValue: (typed: string) => ItemChanges[K] | null) {
    return (typed: string, isFinal: boolean): string | null => {
      const changes = { [name]: toValue(typed) } as ItemChanges;
      const tried = copy.attempt((context) => setItems(context, selection.chosen, changes));
      if (!tried.ok && (!isFinal || tried.refusal.code === 'changesNothing')) return null;
      return set(changes, `${name} ${selection.chosen.join(' ')}`);
    };
  }

  return { faces, common, set, keepTyped };
}
