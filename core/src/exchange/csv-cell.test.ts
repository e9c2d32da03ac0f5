import fc from 'fast-check';
import Papa from 'papaparse';
import { programmes } from '../programmes';
import { testModel } from '../logbook/test-case';
import { chartsToCsv } from './chart-csv';
import { formula, plainCell } from './csv-cell';
import { chartsFromCsv } from './read-chart-csv';

// OWASP, "CSV injection" (memory): a cell beginning with one of these is run
test.each(['=1+1', '+A1', '-A1', '@SUM(A1)', '\t=1', '\r=1', '=HYPERLINK("x")', '--5', '-1-1', '+'])(
  'the text %j is not written so that a spreadsheet runs it, and reads back as it was',
  (text) => {
    const csv = Papa.unparse([[text]], { escapeFormulae: formula });
    const [[cell]] = Papa.parse<[string]>(csv).data as [[string]];
    expect(cell[0]).toBe("'");
    expect(plainCell(cell)).toBe(text);
  },
);

test.each(['-150', '12.5', '-0.25', '0', 'M', '3/4', "'quoted'", ''])('%j stays as it is', (text) => {
  const [[cell]] = Papa.parse<[string]>(Papa.unparse([[text, 'x']], { escapeFormulae: formula })).data as [
    [string],
  ];
  expect(cell).toBe(text);
  expect(plainCell(cell)).toBe(text);
});

test('a model whose name is a formula goes out harmless and comes in as it was', () => {
  fc.assert(
    fc.property(fc.constantFrom('=cmd|x', '+1 brace', '-A', '@home', '=1+1', 'plain'), (name) => {
      const csv = chartsToCsv([{ ...testModel, name, maker: name }], programmes);
      expect(csv).not.toMatch(/(^|,)"?[=@]/m);
      const read = chartsFromCsv(csv, programmes, [testModel]);
      expect(read.ok && read.models[0]).toMatchObject({ name, maker: name, distances: testModel.distances });
    }),
  );
});
