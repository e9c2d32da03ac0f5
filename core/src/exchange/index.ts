export { openForMaker, orderSheet, orderSheetCsv, type OrderSheet, type SheetLine } from './order-sheet';
export { chartColumns, chartsToCsv } from './chart-csv';
export { chartsFromCsv, modelsInCsv, type ChartFault } from './read-chart-csv';
export { chartChanges, lostBy, type ChartChange } from './chart-changes';
export { calendarFile, type DueDay } from './calendar-file';
export { bendTemplatePdf, bendTemplateSvg, type BendTemplate } from './bend-template';
export { readStations, type ReadStations } from './stations';
export { readTemperatures, type FileProblem } from './temperature-file';
export { calendarDays, type CalendarDay } from './due-days';
