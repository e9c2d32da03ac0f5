import { useState } from 'react';
import { useUser } from './clinic';

/**
 * A text that survives a reload of the page and a sign-out, until it is taken. It is its writer's: who signs in
 * next does not find it.
 * @param key what it is typed for
 */
export function useDraft(key: string): [string, (text: string) => void] {
  const { id: user } = useUser();
  const name = `estribo-draft ${user} ${key}`;
  const [held, setHeld] = useState({ name, text: localStorage.getItem(name) ?? '' });
  const text = held.name === name ? held.text : (localStorage.getItem(name) ?? '');
  return [
    text,
    (next) => {
      if (next === '') localStorage.removeItem(name);
      else localStorage.setItem(name, next);
      setHeld({ name, text: next });
    },
  ];
}
