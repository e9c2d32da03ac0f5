import equal from 'fast-deep-equal';
import { useState } from 'react';
import { useUser } from './clinic';

/** What was kept under a name; `empty` where there is nothing, or nothing that can be read. */
function kept<T>(name: string, empty: T): T {
  const text = localStorage.getItem(name);
  if (text === null) return empty;
  try {
    return JSON.parse(text) as T;
  } catch {
    return empty;
  }
}

/**
 * What is typed or ticked and not taken yet: it survives another stage, Back, a reload and a sign-out. It is its
 * writer's: who signs in next does not find it. Setting it to what is empty takes it away.
 * @param key what it is typed for
 * @param empty how the form stands before anything is typed
 */
export function useDraft(key: string): [string, (text: string) => void];
export function useDraft<T>(key: string, empty: T): [T, (value: T) => void];
export function useDraft<T>(key: string, empty?: T): [T | string, (value: T | string) => void] {
  const { id: user } = useUser();
  const nothing = empty ?? '';
  const name = `estribo-draft ${user} ${key}`;
  const [held, setHeld] = useState({ name, value: kept<T | string>(name, nothing) });
  const value = held.name === name ? held.value : kept<T | string>(name, nothing);
  return [
    value,
    (next) => {
      if (equal(next, nothing)) localStorage.removeItem(name);
      else localStorage.setItem(name, JSON.stringify(next));
      setHeld({ name, value: next });
    },
  ];
}
