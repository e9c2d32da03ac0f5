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

function keepUnder<T>(name: string, value: T, empty: T): void {
  if (equal(value, empty)) localStorage.removeItem(name);
  else localStorage.setItem(name, JSON.stringify(value));
}

const nameOf = (user: string, key: string) => `estribo-draft ${user} ${key}`;

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
  const name = nameOf(user, key);
  const [held, setHeld] = useState({ name, value: kept<T | string>(name, nothing) });
  const value = held.name === name ? held.value : kept<T | string>(name, nothing);
  return [
    value,
    (next) => {
      keepUnder(name, next, nothing);
      setHeld({ name, value: next });
    },
  ];
}

/**
 * A draft of a form that holds its own values: read when the form begins, and kept after that without drawing anything again.
 * @param key what it is typed for
 * @param empty how the form stands before anything is typed
 */
export function useDraftOfForm<T>(key: string, empty: T): [begun: T, keep: (value: T) => void] {
  const { id: user } = useUser();
  const name = nameOf(user, key);
  const [begun] = useState(() => kept<T>(name, empty));
  return [begun, (value) => keepUnder(name, value, empty)];
}
