import type { LengthUnit } from '@estribo/core/quantity';
import { useSyncExternalStore } from 'react';

/** Choices of this browser: they hold for whoever uses it. */
function preference<T extends string>(name: string, values: readonly [T, ...T[]]) {
  const key = `estribo-${name}`;
  const listeners = new Set<() => void>();
  const read = (): T => {
    const kept = localStorage.getItem(key);
    return values.find((value) => value === kept) ?? values[0];
  };
  const set = (value: T) => {
    localStorage.setItem(key, value);
    for (const listener of listeners) listener();
  };
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  };
  return { read, set, next: () => set(values[(values.indexOf(read()) + 1) % values.length]!), subscribe };
}

const unit = preference<LengthUnit>('unit', ['mm', 'cm', 'in']);
const theme = preference<'system' | 'light' | 'dark'>('theme', ['system', 'light', 'dark']);

/** The unit lengths are shown in, and a way to the next one. */
export const useUnit = (): [LengthUnit, () => void] => [
  useSyncExternalStore(unit.subscribe, unit.read),
  unit.next,
];

const instruments = preference<'off' | 'on'>('instruments', ['off', 'on']);

/** Whether instruments are listened to here. */
export const useInstrumentsOn = (): [boolean, (on: boolean) => void] => [
  useSyncExternalStore(instruments.subscribe, instruments.read) === 'on',
  (on) => instruments.set(on ? 'on' : 'off'),
];

export const useTheme = (): ['system' | 'light' | 'dark', () => void] => [
  useSyncExternalStore(theme.subscribe, theme.read),
  theme.next,
];

/** Puts the theme on the page, now and whenever it changes. */
export function applyTheme(): void {
  const apply = () => {
    document.documentElement.dataset.theme = theme.read();
  };
  apply();
  theme.subscribe(apply);
}
