export type { Degrees, Millimetres, Minutes } from './unit';
export { formatLength, millimetresPerInch, parseLength, type LengthUnit, type ParsedLength } from './length';
