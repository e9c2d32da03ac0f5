import { LogOut } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { signOut } from '../api/session';
import { t } from '../messages';
import { IconButton } from '../parts/button';

/** Ends the session on this machine. */
export function SignOutButton() {
  const navigate = useNavigate();
  const [leaving, setLeaving] = useState(false);
  const leave = async () => {
    setLeaving(true);
    try {
      await signOut();
      await navigate('/sign-in');
    } finally {
      setLeaving(false);
    }
  };
  return (
    <IconButton aria-label={t('nav.signOut')} isDisabled={leaving} onPress={() => void leave()}>
      <LogOut size={18} aria-hidden />
    </IconButton>
  );
}
