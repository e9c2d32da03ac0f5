export const roles = ['orthotist', 'technician', 'reception', 'reader', 'administrator'] as const;
export type Role = (typeof roles)[number];

/**
 * Who may do what: the one place where it stands. The server enforces it, the interface reflects it.
 * A correction of an entry needs the permission of the entry corrected.
 */
const table = {
  'record.read': ['orthotist', 'technician', 'reader'],
  'bench.read': ['orthotist', 'technician', 'reception', 'reader'],
  'people.read': ['orthotist', 'technician', 'reception', 'reader'],
  'people.write': ['orthotist', 'reception'],
  'visits.write': ['orthotist', 'technician', 'reception'],
  'cases.write': ['orthotist'],
  'notes.write': ['orthotist', 'technician'],
  'screening.write': ['orthotist'],
  'screening.override': ['orthotist'],
  'order.write': ['orthotist'],
  'measuring.write': ['orthotist', 'technician'],
  'sizing.write': ['orthotist'],
  'setting.write': ['orthotist'],
  'shaping.write': ['orthotist', 'technician'],
  'strapping.write': ['orthotist', 'technician'],
  'checking.write': ['orthotist', 'technician'],
  'wearing.write': ['orthotist'],
  'reviewing.write': ['orthotist'],
  'catalogue.read': ['orthotist', 'technician', 'reader', 'administrator'],
  'catalogue.write': ['orthotist', 'administrator'],
  'instruments.read': ['orthotist', 'technician', 'reader', 'administrator'],
  'instruments.write': ['orthotist', 'technician', 'administrator'],
  'clinic.write': ['orthotist', 'administrator'],
  'audit.read': ['administrator'],
  'users.read': ['administrator'],
  'users.write': ['administrator'],
} as const satisfies Record<string, readonly Role[]>;

export type Permission = keyof typeof table;
export const permissions = Object.keys(table) as Permission[];

export const may = (role: Role, permission: Permission): boolean =>
  (table[permission] as readonly Role[]).includes(role);
