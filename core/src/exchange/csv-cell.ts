/*
 * A spreadsheet takes a cell that begins with = + - @ or a control for a formula and runs it. Text that does is
 * written with an apostrophe before it, as spreadsheets themselves mark text (OWASP, "CSV injection"; memory);
 * a number stays a number.
 */

/** For Papa Parse's `escapeFormulae`: what would be run and is no number. */
export const formula = /^[=@\t\r]|^[+-](?!\d+(\.\d+)?$)/;

/** A cell as it was before it was made harmless. */
export const plainCell = (cell: string): string =>
  cell.startsWith("'") && formula.test(cell.slice(1)) ? cell.slice(1) : cell;
