const FORMULA = /^'*[=+\-@\t]/;

/** A cell that a spreadsheet would take for a formula, as text. */
export function asTextCell(cell: string): string {
  return FORMULA.test(cell) ? `'${cell}` : cell;
}

/** The cell as it was before that. */
export function plainCell(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell;
}
