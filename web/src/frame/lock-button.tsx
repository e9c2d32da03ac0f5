import { Lock } from 'lucide-react';
import { lock } from '../api/session';
import { t } from '../messages';
import { IconButton } from '../parts/button';

/** Locks the machine, or lets another one take over: what is typed stays. */
export function LockButton() {
  return (
    <IconButton aria-label={t('lock.lock')} onPress={lock}>
      <Lock size={18} aria-hidden />
    </IconButton>
  );
}
