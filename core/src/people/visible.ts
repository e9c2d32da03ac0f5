/** What shows nothing: blanks, controls, marks without a letter, everything a reader is meant not to see. */
const invisible = /[\s\p{C}\p{M}\p{Z}\p{Default_Ignorable_Code_Point}\u2800\u3164\uffa0\u115f\u1160]/gu;

/** Whether a text has a sign that can be seen: a name of invisible ones alone names nobody. */
export const isVisible = (text: string): boolean => text.replace(invisible, '') !== '';
