import { formOf } from '@estribo/core/faults';
import { string } from 'yup';

/** A login as it is kept: small letters, digits, dots and hyphens. */
const loginForm = /^[a-z0-9.-]{2,60}$/;

/** A login that is given to somebody. */
export const loginField = string().strict().required().matches(loginForm, formOf('login-form'));

/** Everything that shows nothing: blanks, zero-width characters, controls (Unicode's default ignorables). */
const invisible = /\s|\p{C}|\p{Default_Ignorable_Code_Point}/gu;

/**
 * The one form of a login, whatever is typed: full-width letters and the like as their plain ones (NFKC),
 * nothing invisible, small letters. It is matched exactly.
 * @returns undefined when what is left is no login
 */
export function loginOf(typed: string): string | undefined {
  const login = typed.normalize('NFKC').replace(invisible, '').toLowerCase();
  return loginForm.test(login) ? login : undefined;
}
