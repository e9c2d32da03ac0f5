export { textWidth } from './font-metrics';
export { labelSize, placeLabels, type Box, type LabelWish, type PlacedLabel } from './place-labels';
export { type Frame, type PlacedView } from './place-views';
export { type DrawnStep, type Shape, type StepToDraw } from './draw-step';
export { drawFigure, type DrawnFigure } from './draw-figure';
export {
  barHalf,
  drawBrace,
  roundRadius,
  type BraceShape,
  type DrawnBrace,
  type MarkToDraw,
  type PartToDraw,
} from './draw-brace';
