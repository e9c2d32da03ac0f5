import { renderHook } from '@testing-library/react';
import { useIdle } from './use-idle';

beforeEach(() => {
  localStorage.clear();
  jest.useFakeTimers({ now: new Date('2026-11-24T09:00:00Z') });
});
afterEach(() => jest.useRealTimers());

const pass = (minutes: number) => jest.advanceTimersByTime(minutes * 60_000);
const touch = () => dispatchEvent(new Event('pointerdown'));

/** A page that counts how often it was told that nobody is there. */
function page() {
  const idle = jest.fn();
  const { unmount } = renderHook(() => useIdle(10, idle));
  return { idle, close: unmount };
}

test('ten quiet minutes are told, and again each minute until somebody is there', () => {
  const { idle } = page();
  pass(9);
  expect(idle).not.toHaveBeenCalled();
  pass(1);
  expect(idle).toHaveBeenCalledTimes(1);
  pass(2);
  expect(idle).toHaveBeenCalledTimes(3);
  touch();
  pass(9);
  expect(idle).toHaveBeenCalledTimes(3);
});

test('work in one tab keeps the other from locking', () => {
  const { idle } = page();
  for (let minute = 0; minute < 30; minute += 1) {
    pass(1);
    // another tab of the browser writes down that it was touched
    localStorage.setItem('estribo-touched', String(Date.now()));
  }
  expect(idle).not.toHaveBeenCalled();
  pass(10);
  expect(idle).toHaveBeenCalledTimes(1);
});

test('a touch here is written down for the others, and not with every move of the hand', () => {
  page();
  const written = jest.spyOn(Storage.prototype, 'setItem');
  for (let i = 0; i < 100; i += 1) touch();
  expect(written.mock.calls.filter(([key]) => key === 'estribo-touched')).toHaveLength(1);
  written.mockRestore();
  expect(Number(localStorage.getItem('estribo-touched'))).toBe(Date.now());
});

test('a touch of a clock that was ahead keeps nobody from locking for hours', () => {
  const { idle } = page();
  localStorage.setItem('estribo-touched', String(Date.now() + 3 * 3_600_000));
  pass(10);
  expect(idle).not.toHaveBeenCalled();
  localStorage.removeItem('estribo-touched');
  pass(1);
  expect(idle).toHaveBeenCalled();
});
