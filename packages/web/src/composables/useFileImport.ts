import { computed, ref, shallowRef, type ComputedRef, type Ref, type WritableComputedRef } from 'vue';
import { counted, type CommandContext, type Edit, type Result } from '@zorvik/core';
import { useNotices } from '../stores/notices.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** What an import would change, in sentences; and what cannot be taken, and why. */
export interface ImportPreview {
  readonly changes: readonly string[];
  readonly problems: readonly string[];
}

/** How something is imported. `T`: what a file is read as. */
export interface ImportedBy<T> {
  readonly read: (text: string) => Promise<Result<T>>;
  readonly preview: (context: CommandContext, given: T) => ImportPreview;
  readonly take: (context: CommandContext, given: T) => Result<Edit>;
  /** What was imported, with its number: `# name`, `# names`. */
  readonly counted: readonly [one: string, many: string];
}

/** A file that is being imported: read, looked at before anything changes, and taken. */
export interface FileImport<T> {
  readonly given: Ref<T | null>;
  readonly problem: Ref<string | null>;
  readonly isOpen: WritableComputedRef<boolean>;
  readonly preview: ComputedRef<ImportPreview>;
  /** A file was chosen in a field. */
  readonly chosen: (event: Event) => Promise<void>;
  readonly take: () => void;
}

/** See `FileImport`. */
export function useFileImport<T>(by: ImportedBy<T>): FileImport<T> {
  const copy = useWorkingCopy();
  const notices = useNotices();
  const given: Ref<T | null> = shallowRef<T | null>(null);
  const problem = ref<string | null>(null);
  const isOpen = computed({
    get: () => given.value !== null || problem.value !== null,
    set: (is) => {
      if (!is) [given.value, problem.value] = [null, null];
    },
  });
  // What would change now, also when somebody else has changed something meanwhile.
  const preview = computed(() => {
    const { value: some } = given;
    let found: ImportPreview = { changes: [], problems: [] };
    if (some !== null && copy.document !== null)
      copy.attempt((context) => {
        found = by.preview(context, some);
        return by.take(context, some);
      });
    return found;
  });

  async function chosen(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const [file] = field.files ?? [];
    if (file === undefined) return;
    const read = await by.read(await file.text());
    field.value = '';
    problem.value = read.ok ? null : read.refusal.message;
    given.value = read.ok ? read.value : null;
  }
  function take(): void {
    const { value: some } = given;
    if (some === null) return;
    const { length } = preview.value.changes;
    const done = copy.perform((context) => by.take(context, some));
    problem.value = done.ok ? null : done.refusal.message;
    if (!done.ok) return;
    given.value = null;
    notices.say(`Imported ${counted(length, ...by.counted)}.`);
  }
  return { given, problem, isOpen, preview, chosen, take };
}
