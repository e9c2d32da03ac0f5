import { may, permissions, roles } from './roles';

test('only the orthotist orders, overrides, sets and decides', () => {
  for (const permission of [
    'order.write',
    'screening.override',
    'setting.write',
    'sizing.write',
    'reviewing.write',
  ] as const)
    expect(roles.filter((role) => may(role, permission))).toEqual(['orthotist']);
});

test('a technician measures, shapes, straps and checks, and writes nothing else but notes, visits and calibrations', () => {
  const writes = permissions.filter(
    (permission) => permission.endsWith('.write') && may('technician', permission),
  );
  expect(writes.sort()).toEqual([
    'checking.write',
    'instruments.write',
    'measuring.write',
    'notes.write',
    'shaping.write',
    'strapping.write',
    'visits.write',
  ]);
});

test('reception keeps people and visits and reads no record', () => {
  expect(permissions.filter((permission) => may('reception', permission)).sort()).toEqual([
    'bench.read',
    'people.read',
    'people.write',
    'visits.write',
  ]);
});

test('a reader writes nothing; an administrator reads no record', () => {
  expect(
    permissions.filter((permission) => /write|override/.test(permission) && may('reader', permission)),
  ).toEqual([]);
  expect(may('administrator', 'record.read')).toBe(false);
  expect(may('administrator', 'users.write')).toBe(true);
});
