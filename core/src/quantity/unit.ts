/**
 * Numbers that carry their unit in the type. A plain number may become any of them at the
 * edge where its unit is known; one of them never passes for another.
 */
export type Millimetres = number & { readonly unit?: 'mm' };
export type Degrees = number & { readonly unit?: 'deg' };
export type Minutes = number & { readonly unit?: 'min' };
export type Kilograms = number & { readonly unit?: 'kg' };
export type Newtons = number & { readonly unit?: 'N' };
export type Kilopascals = number & { readonly unit?: 'kPa' };
