export type { Degrees, Kilograms, Kilopascals, Millimetres, Minutes, Newtons } from './unit';
export { mayBeThousands, plainTyped } from './typed';
export { parseMass, type ParsedMass } from './mass';
export { formatLength, millimetresPerInch, parseLength, type LengthUnit, type ParsedLength } from './length';
