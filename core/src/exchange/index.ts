export { orderSheet, orderSheetCsv, type OrderSheet, type SheetLine } from './order-sheet';
export { chartColumns, chartsFromCsv, chartsToCsv, type ChartFault } from './chart-csv';
