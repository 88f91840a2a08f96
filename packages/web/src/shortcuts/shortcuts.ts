/** Everything that a key does. The keys read this table, and so does the list that `?` shows. */
export interface Shortcut {
  readonly name: ShortcutName;
  /**
   * As `KeyboardEvent.key`, with `Ctrl+`, `Shift+` and `Alt+` before it in this order; Command counts as
   * Ctrl.
   */
  readonly keys: readonly string[];
  readonly does: string;
  readonly where: 'anywhere' | 'tree' | 'drift' | 'pages' | 'panel' | 'frame';
}

export type ShortcutName =
  | 'undo'
  | 'redo'
  | 'findPages'
  | 'findItems'
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
  | 'extendUp'
  | 'extendDown'
  | 'chooseAll'
  | 'toggleFold'
  | 'foldAll'
  | 'unfoldAll'
  | 'add'
  | 'rename'
  | 'remove'
  | 'duplicate'
  | 'copy'
  | 'cut'
  | 'paste'
  | 'lead'
  | 'more'
  | 'showDropdown'
  | 'nextUndecided'
  | 'planPage'
  | 'follow'
  | 'switchForm'
  | 'beside'
  | 'nextMenu'
  | 'previousMenu'
  | 'findingUp'
  | 'findingDown'
  | 'mend'
  | 'mendNth'
  | 'mendSafe'
  | 'leaveFinding'
  | 'compose'
  | 'addPart'
  | 'addRow'
  | 'addBand'
  | 'addCell'
  | 'narrower'
  | 'wider'
  | 'placeNext'
  | 'done';

export const shortcuts: readonly Shortcut[] = [
  { name: 'up', keys: ['ArrowUp'], does: 'Select the item above', where: 'tree' },
  { name: 'down', keys: ['ArrowDown'], does: 'Select the item below', where: 'tree' },
  { name: 'extendUp', keys: ['Shift+ArrowUp'], does: 'Extend the selection up', where: 'tree' },
  { name: 'extendDown', keys: ['Shift+ArrowDown'], does: 'Extend the selection down', where: 'tree' },
  { name: 'chooseAll', keys: ['Ctrl+a'], does: 'Select all visible items', where: 'tree' },
  {
    name: 'foldOrOut',
    keys: ['ArrowLeft'],
    does: 'List: collapse the branch, or select its parent. Columns: go to the previous branch',
    where: 'tree',
  },
  {
    name: 'unfoldOrIn',
    keys: ['ArrowRight'],
    does: 'List: expand the branch, or select its first item. Columns: go to the next branch',
    where: 'tree',
  },
  { name: 'toggleFold', keys: [' '], does: 'Columns: collapse or expand the branch', where: 'tree' },
  { name: 'foldAll', keys: ['-'], does: 'Collapse all branches', where: 'tree' },
  { name: 'unfoldAll', keys: ['+'], does: 'Expand all branches', where: 'tree' },
  { name: 'first', keys: ['Home'], does: 'Select the first item', where: 'tree' },
  { name: 'last', keys: ['End'], does: 'Select the last item', where: 'tree' },
  { name: 'moveUp', keys: ['Alt+ArrowUp'], does: 'Move the item up', where: 'tree' },
  { name: 'moveDown', keys: ['Alt+ArrowDown'], does: 'Move the item down', where: 'tree' },
  {
    name: 'moveOut',
    keys: ['Alt+ArrowLeft'],
    does: 'Move the item out of its parent. Columns: move a whole branch left',
    where: 'tree',
  },
  {
    name: 'moveIn',
    keys: ['Alt+ArrowRight'],
    does: 'Move the item into the one above. Columns: move a whole branch right',
    where: 'tree',
  },
  { name: 'add', keys: ['Enter'], does: 'Add an item after the selected one', where: 'tree' },
  { name: 'rename', keys: ['F2'], does: 'Rename the item', where: 'tree' },
  { name: 'remove', keys: ['Delete', 'Backspace'], does: 'Remove the item', where: 'tree' },
  { name: 'duplicate', keys: ['Ctrl+d'], does: 'Duplicate the item with its branch', where: 'tree' },
  { name: 'copy', keys: ['Ctrl+c'], does: 'Copy the selected items, as text too', where: 'tree' },
  { name: 'cut', keys: ['Ctrl+x'], does: 'Cut the selected items', where: 'tree' },
  {
    name: 'paste',
    keys: ['Ctrl+v'],
    does: 'Paste items, or text with one item per line, after the selected item',
    where: 'tree',
  },
  { name: 'lead', keys: ['t'], does: 'Change the link', where: 'tree' },
  { name: 'nextUndecided', keys: ['u'], does: 'Go to the next item without a link', where: 'tree' },
  { name: 'planPage', keys: ['p'], does: 'Add a planned page', where: 'tree' },
  { name: 'follow', keys: ['f'], does: 'Follow pages or another menu', where: 'tree' },
  { name: 'compose', keys: ['c'], does: 'Compose the branch’s panel', where: 'tree' },
  { name: 'more', keys: ['m'], does: 'Show more or fewer settings', where: 'tree' },
  { name: 'showDropdown', keys: ['v'], does: 'Show or hide the dropdown in the live header', where: 'tree' },
  { name: 'switchForm', keys: ['s'], does: 'Switch between columns and list', where: 'tree' },
  { name: 'beside', keys: ['b'], does: 'Show or hide another menu next to this one', where: 'tree' },
  { name: 'previousMenu', keys: ['['], does: 'Go to the previous menu', where: 'tree' },
  { name: 'nextMenu', keys: [']'], does: 'Go to the next menu', where: 'tree' },
  { name: 'up', keys: ['ArrowUp'], does: 'Select the page above', where: 'pages' },
  { name: 'down', keys: ['ArrowDown'], does: 'Select the page below', where: 'pages' },
  { name: 'extendUp', keys: ['Shift+ArrowUp'], does: 'Extend the selection up', where: 'pages' },
  { name: 'extendDown', keys: ['Shift+ArrowDown'], does: 'Extend the selection down', where: 'pages' },
  {
    name: 'foldOrOut',
    keys: ['ArrowLeft'],
    does: 'Collapse the branch, or select its parent',
    where: 'pages',
  },
  {
    name: 'unfoldOrIn',
    keys: ['ArrowRight'],
    does: 'Expand the branch, or select its first page',
    where: 'pages',
  },
  { name: 'first', keys: ['Home'], does: 'Select the first page', where: 'pages' },
  { name: 'last', keys: ['End'], does: 'Select the last page', where: 'pages' },
  { name: 'moveUp', keys: ['Alt+ArrowUp'], does: 'Move the page up', where: 'pages' },
  { name: 'moveDown', keys: ['Alt+ArrowDown'], does: 'Move the page down', where: 'pages' },
  { name: 'moveOut', keys: ['Alt+ArrowLeft'], does: 'Move the page out of its parent', where: 'pages' },
  { name: 'moveIn', keys: ['Alt+ArrowRight'], does: 'Move the page into the one above', where: 'pages' },
  { name: 'add', keys: ['Enter'], does: 'Add a page after the selected one', where: 'pages' },
  { name: 'rename', keys: ['F2'], does: 'Rename the page', where: 'pages' },
  { name: 'remove', keys: ['Delete', 'Backspace'], does: 'Delete or restore the page', where: 'pages' },
  { name: 'findingUp', keys: ['ArrowUp'], does: 'Select the finding above', where: 'drift' },
  { name: 'findingDown', keys: ['ArrowDown'], does: 'Select the finding below', where: 'drift' },
  { name: 'mend', keys: ['Enter'], does: 'Apply the first fix', where: 'drift' },
  { name: 'mendNth', keys: ['1', '2', '3'], does: 'Apply the first, second or third fix', where: 'drift' },
  { name: 'leaveFinding', keys: ['l'], does: 'Ignore the finding, with an optional reason', where: 'drift' },
  { name: 'mendSafe', keys: ['a'], does: 'Apply all safe fixes', where: 'drift' },
  { name: 'previousMenu', keys: ['['], does: 'Go to the previous menu', where: 'drift' },
  { name: 'nextMenu', keys: [']'], does: 'Go to the next menu', where: 'drift' },
  { name: 'up', keys: ['ArrowUp'], does: 'Select the part above', where: 'panel' },
  { name: 'down', keys: ['ArrowDown'], does: 'Select the part below', where: 'panel' },
  { name: 'foldOrOut', keys: ['ArrowLeft'], does: 'Select the enclosing part', where: 'panel' },
  { name: 'unfoldOrIn', keys: ['ArrowRight'], does: 'Select the first part inside', where: 'panel' },
  { name: 'first', keys: ['Home'], does: 'Select the panel', where: 'panel' },
  { name: 'last', keys: ['End'], does: 'Select the last part', where: 'panel' },
  {
    name: 'moveUp',
    keys: ['Alt+ArrowUp'],
    does: 'Move the part back, into the previous cell if needed',
    where: 'panel',
  },
  {
    name: 'moveDown',
    keys: ['Alt+ArrowDown'],
    does: 'Move the part forward, into the next cell if needed',
    where: 'panel',
  },
  { name: 'narrower', keys: ['Alt+ArrowLeft'], does: 'Make the cell one column narrower', where: 'panel' },
  { name: 'wider', keys: ['Alt+ArrowRight'], does: 'Make the cell one column wider', where: 'panel' },
  { name: 'addPart', keys: ['p', 'Enter'], does: 'Add a part', where: 'panel' },
  { name: 'addCell', keys: ['c'], does: 'Add a cell', where: 'panel' },
  { name: 'addRow', keys: ['r'], does: 'Add a row', where: 'panel' },
  { name: 'placeNext', keys: ['n'], does: 'Show the next item that is not shown yet', where: 'panel' },
  { name: 'duplicate', keys: ['Ctrl+d'], does: 'Duplicate the part with its contents', where: 'panel' },
  { name: 'remove', keys: ['Delete', 'Backspace'], does: 'Remove the part', where: 'panel' },
  { name: 'done', keys: ['Escape'], does: 'Back to the menu', where: 'panel' },
  { name: 'up', keys: ['ArrowUp'], does: 'Select the part above', where: 'frame' },
  { name: 'down', keys: ['ArrowDown'], does: 'Select the part below', where: 'frame' },
  { name: 'foldOrOut', keys: ['ArrowLeft'], does: 'Select the enclosing part', where: 'frame' },
  { name: 'unfoldOrIn', keys: ['ArrowRight'], does: 'Select the first part inside', where: 'frame' },
  { name: 'first', keys: ['Home'], does: 'Select the first part', where: 'frame' },
  { name: 'last', keys: ['End'], does: 'Select the last part', where: 'frame' },
  {
    name: 'moveUp',
    keys: ['Alt+ArrowUp', 'Alt+ArrowLeft'],
    does: 'Move the part back, into the previous zone if needed',
    where: 'frame',
  },
  {
    name: 'moveDown',
    keys: ['Alt+ArrowDown', 'Alt+ArrowRight'],
    does: 'Move the part forward, into the next zone if needed',
    where: 'frame',
  },
  { name: 'addPart', keys: ['p', 'Enter'], does: 'Add a part', where: 'frame' },
  { name: 'addBand', keys: ['b'], does: 'Add a band below', where: 'frame' },
  { name: 'duplicate', keys: ['Ctrl+d'], does: 'Duplicate the part with its contents', where: 'frame' },
  { name: 'remove', keys: ['Delete', 'Backspace'], does: 'Remove the part', where: 'frame' },
  { name: 'done', keys: ['Escape'], does: 'Select nothing', where: 'frame' },
  { name: 'findPages', keys: ['/'], does: 'Find pages', where: 'anywhere' },
  { name: 'findItems', keys: ['Ctrl+f'], does: 'Find in this menu (in Arrange)', where: 'anywhere' },
  { name: 'undo', keys: ['Ctrl+z'], does: 'Undo', where: 'anywhere' },
  { name: 'redo', keys: ['Ctrl+Shift+z', 'Ctrl+y'], does: 'Redo', where: 'anywhere' },
  { name: 'showKeys', keys: ['?'], does: 'Show keyboard shortcuts', where: 'anywhere' },
];

/** What a key press asks for in that place; null when it asks for nothing of ours. */
export function shortcutFor(event: Pressed, where: Shortcut['where']): ShortcutName | null {
  const pressed = keysOf(event);
  return shortcuts.find((one) => one.where === where && one.keys.includes(pressed))?.name ?? null;
}

/** As much of a key press as is looked at. */
export type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'>;

function keysOf({ key, ctrlKey, metaKey, shiftKey, altKey }: Pressed): string {
  const isLetter = /^[a-z]$/i.test(key);
  // Signs such as ? need Shift on many keyboards: for them it is no modifier.
  const needsShift = shiftKey && (isLetter || key.length > 1);
  return `${ctrlKey || metaKey ? 'Ctrl+' : ''}${needsShift ? 'Shift+' : ''}${altKey ? 'Alt+' : ''}${isLetter ? key.toLowerCase() : key}`;
}

const signs: Readonly<Record<string, string>> = {
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Delete: 'Del',
  Backspace: '⌫',
  ' ': 'Space',
};

/** The parts of a key combination as they are printed on keys. */
export function keyNames(keys: string): string[] {
  const parts = keys === '+' ? ['+'] : keys.split('+');
  return parts.map((part) => signs[part] ?? (part.length === 1 ? part.toUpperCase() : part));
}
