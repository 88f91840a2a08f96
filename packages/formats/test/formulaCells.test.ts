import { expect, it } from 'vitest';
import { asTextCell, plainCell } from '../src/formulaCells.ts';

it.each(['=HYPERLINK("https://evil.example")', '+1', '-1', '@SUM(A1)', '\tx', "'=1"])(
  'the cell %j is written so that no spreadsheet takes it for a formula',
  (cell) => {
    expect(asTextCell(cell)).toBe(`'${cell}`);
    expect(plainCell(asTextCell(cell))).toBe(cell);
  },
);

it.each(['Seeds', '', "'tis", '1 = 1'])('the cell %j is written as it is', (cell) => {
  expect(asTextCell(cell)).toBe(cell);
  expect(plainCell(cell)).toBe(cell);
});
