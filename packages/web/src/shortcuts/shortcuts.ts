/** Everything that a key does. The keys read this table, and so does the list that `?` shows. */
export interface Shortcut {
  readonly name: ShortcutName;
  /** As `KeyboardEvent.key`, with `Ctrl+`, `Shift+` and `Alt+` before it in this order; Command counts as Ctrl. */
  readonly keys: readonly string[];
  readonly does: string;
  readonly where: 'anywhere' | 'outline';
}

export type ShortcutName =
  | 'undo'
  | 'redo'
  | 'findPages'
  | 'showKeys'
  | 'up'
  | 'down'
  | 'foldOrOut'
  | 'unfoldOrIn'
  | 'first'
  | 'last'
  | 'moveUp'
  | 'moveDown'
  | 'moveOut'
  | 'moveIn'
  | 'add'
  | 'rename'
  | 'remove'
  | 'duplicate';

export const shortcuts: readonly Shortcut[] = [
  { name: 'up', keys: ['ArrowUp'], does: 'Select the item above', where: 'outline' },
  { name: 'down', keys: ['ArrowDown'], does: 'Select the item below', where: 'outline' },
  { name: 'foldOrOut', keys: ['ArrowLeft'], does: 'Fold the branch, or select its parent', where: 'outline' },
  { name: 'unfoldOrIn', keys: ['ArrowRight'], does: 'Unfold the branch, or select its first item', where: 'outline' },
  { name: 'first', keys: ['Home'], does: 'Select the first item', where: 'outline' },
  { name: 'last', keys: ['End'], does: 'Select the last item', where: 'outline' },
  { name: 'moveUp', keys: ['Alt+ArrowUp'], does: 'Move the item up', where: 'outline' },
  { name: 'moveDown', keys: ['Alt+ArrowDown'], does: 'Move the item down', where: 'outline' },
  { name: 'moveOut', keys: ['Alt+ArrowLeft'], does: 'Move the item out of its parent', where: 'outline' },
  { name: 'moveIn', keys: ['Alt+ArrowRight'], does: 'Move the item into the one above', where: 'outline' },
  { name: 'add', keys: ['Enter'], does: 'Add an item after the selected one', where: 'outline' },
  { name: 'rename', keys: ['F2'], does: 'Rename the item', where: 'outline' },
  { name: 'remove', keys: ['Delete', 'Backspace'], does: 'Remove the item', where: 'outline' },
  { name: 'duplicate', keys: ['Ctrl+d'], does: 'Duplicate the item with its branch', where: 'outline' },
  { name: 'findPages', keys: ['/'], does: 'Find pages', where: 'anywhere' },
  { name: 'undo', keys: ['Ctrl+z'], does: 'Undo', where: 'anywhere' },
  { name: 'redo', keys: ['Ctrl+Shift+z', 'Ctrl+y'], does: 'Redo', where: 'anywhere' },
  { name: 'showKeys', keys: ['?'], does: 'Show all keys', where: 'anywhere' },
];

/** What a key press asks for in that place; null when it asks for nothing of ours. */
export function shortcutFor(event: KeyboardEvent, where: Shortcut['where']): ShortcutName | null {
  const pressed = keysOf(event);
  return shortcuts.find((one) => one.where === where && one.keys.includes(pressed))?.name ?? null;
}

function keysOf({ key, ctrlKey, metaKey, shiftKey, altKey }: KeyboardEvent): string {
  const isLetter = /^[a-z]$/i.test(key);
  // Signs such as ? need Shift on many keyboards: for them it is no modifier.
  const needsShift = shiftKey && (isLetter || key.length > 1);
  return `${ctrlKey || metaKey ? 'Ctrl+' : ''}${needsShift ? 'Shift+' : ''}${altKey ? 'Alt+' : ''}${isLetter ? key.toLowerCase() : key}`;
}

const signs: Readonly<Record<string, string>> = { ArrowUp: '↑', ArrowDown: '↓', ArrowLeft: '←', ArrowRight: '→', Delete: 'Del', Backspace: '⌫' };

/** The parts of a key combination as they are printed on keys. */
export function keyNames(keys: string): string[] {
  return keys.split('+').map((part) => signs[part] ?? (part.length === 1 ? part.toUpperCase() : part));
}
