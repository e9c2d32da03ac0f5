import type { ValidationError } from 'yup';
import { fault, faultSays, type EntryFault, type FaultCode, type FaultParams } from './fault';

const isCode = (name: string | undefined): name is FaultCode => name !== undefined && name in faultSays;

/** What the package's own rules are called here, with what they name. */
function ofPackage({ type, params = {}, value }: ValidationError): [FaultCode, FaultParams?] | undefined {
  const { min, max, more, values, type: wanted, unknown } = params as Record<string, string | number>;
  switch (type) {
    case 'required':
    case 'optionality':
    case 'nullable':
    case 'defined':
      return ['needed'];
    case 'min':
      if (more !== undefined) return ['positive'];
      return Array.isArray(value)
        ? ['more', { n: min! }]
        : typeof value === 'string'
          ? ['longer', { n: min! }]
          : ['least', { least: min! }];
    case 'max':
      return Array.isArray(value)
        ? ['fewer', { n: max! }]
        : typeof value === 'string'
          ? ['shorter', { n: max! }]
          : ['most', { most: max! }];
    case 'integer':
      return ['whole'];
    case 'trim':
      return ['spaces'];
    case 'oneOf':
      return ['one-of', { words: values! }];
    case 'noUnknown':
    case 'exact':
      return ['unknown', { words: unknown! }];
    case 'typeError':
      return ['type', { type: wanted! }];
    default:
      return undefined;
  }
}

/**
 * What a schema found wrong with a value, by its code.
 * @param wrong one of the errors that a validation gathered
 * @param at path of the field, where it stands within something larger
 */
export function schemaFault(wrong: ValidationError, at = wrong.path ?? ''): EntryFault {
  if (isCode(wrong.type)) return fault(at, wrong.type, named(wrong.params));
  const [code, params] = ofPackage(wrong) ?? ['schema-rule', { says: wrong.message }];
  return fault(at, code, params);
}

/** What a rule's own error names beside what the package always does. */
function named(params: Record<string, unknown> | undefined): FaultParams | undefined {
  const words = params?.words;
  return typeof words === 'string' ? { words } : undefined;
}
