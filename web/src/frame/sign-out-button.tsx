import { LogOut } from 'lucide-react';
import { useNavigate } from 'react-router';
import { signOut } from '../api/session';
import { t } from '../messages';
import { IconButton } from '../parts/button';

/** Ends the session on this machine. */
export function SignOutButton() {
  const navigate = useNavigate();
  const leave = () => {
    signOut();
    void navigate('/sign-in');
  };
  return (
    <IconButton aria-label={t('nav.signOut')} onPress={leave}>
      <LogOut size={18} aria-hidden />
    </IconButton>
  );
}
