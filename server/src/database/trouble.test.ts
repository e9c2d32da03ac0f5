import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { problemHandler } from '../problem';
import { troubleOf } from './trouble';

// What MariaDB says when there is no room. Numbers: MariaDB Server documentation, "MariaDB Error Codes" (from memory), and the
// system's own ENOSPC (28) as it comes through the storage engine; a real full disk is tried by scripts/full-disk.mjs.

const said = (errno: number, code: string, message = '') => ({ driverError: { errno, code, message } });

test.each([
  ['disk full', said(1021, 'ER_DISK_FULL')],
  ['table full', said(1114, 'ER_RECORD_FILE_FULL', "The table 'entry' is full")],
  ['error writing a file', said(3, 'EE_WRITE')],
  ['no space left', said(28, 'EE_DISK')],
  [
    'an engine that got it',
    said(1030, 'ER_GET_ERRNO', 'Got error 28 "No space left on device" from storage engine InnoDB'),
  ],
  [
    'a file that could not be written',
    said(1026, 'ER_ERROR_ON_WRITE', 'Error writing file \'/tmp/x\' (Errcode: 28 "No space left on device")'),
  ],
])('%s is a full disk, and answered as one', async (_, error) => {
  expect(troubleOf(error)).toBe('full');
  const app = express();
  app.get('/', () => {
    throw Object.assign(new Error('x'), error);
  });
  app.use(problemHandler(pino({ level: 'silent' }), '/'));
  const { status, body } = await request(app).get('/');
  expect([status, body.title]).toEqual([507, 'Disk full']);
  expect(body.detail).toMatch(/nothing was stored/);
});

test.each([
  ['a deadlock', said(1213, 'ER_LOCK_DEADLOCK'), 'deadlock'],
  ['a value that is there', said(1062, 'ER_DUP_ENTRY'), 'taken'],
  ['something else', said(1054, 'ER_BAD_FIELD_ERROR'), undefined],
])('%s is not', (_, error, trouble) => expect(troubleOf(error)).toBe(trouble));
