import { useState, type ReactNode } from 'react';
import { useDraft } from '../api/draft';
import { t } from '../messages';
import { Field } from './field';

/**
 * A reason that something is done for: its field, and the way to go on once it is given in a few words. What is
 * typed of it is kept until then.
 * @param key what it is the reason for
 * @param label of the field
 * @param longest characters it may have
 * @param takesFocus not where it appears beside something that is still being typed
 */
export function useReason(
  key: string,
  label: string = t('record.reason'),
  longest = 400,
  takesFocus = true,
): { field: ReactNode; giving: (work: (reason: string) => void) => void } {
  const [reason, setReason] = useDraft(`${key}-reason`);
  const [problem, setProblem] = useState<string>();
  return {
    field: (
      <Field
        label={label}
        value={reason}
        onChange={setReason}
        problem={problem}
        autoFocus={takesFocus}
        maxLength={longest}
      />
    ),
    giving: (work) => {
      if (reason.trim().length < 3) return setProblem(t('record.reasonNeeded'));
      setReason('');
      work(reason.trim());
    },
  };
}
