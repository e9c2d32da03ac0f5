import { CircleHelp } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { t } from '../messages';
import { IconButton } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { useHotkeys } from '../browser/hotkeys';
import { useUnit } from '../browser/preferences';
import { color } from '../look/tokens';

const Keys = styled.dl`
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 8px 20px;
  & kbd {
    font: inherit;
    font-weight: 700;
    border: 1px solid ${color('edge')};
    border-radius: 3px;
    padding: 1px 8px;
  }
`;

const keys = ['digits', 'enter', 'b', 'brackets', 'slash', 'u', 'escape', 'question'] as const;

/**
 * The keys that work everywhere, and the button and key that list them.
 * @param children what else is said there: what a stage is for
 */
export function KeysHelp({ children }: { children?: React.ReactNode }) {
  const [open, setOpen] = useState(false);
  const navigate = useNavigate();
  const [, nextUnit] = useUnit();
  useHotkeys({
    '?': () => setOpen(true),
    '/': () => void navigate('/cases?find'),
    u: nextUnit,
  });
  return (
    <>
      <IconButton aria-label={t('nav.keys')} onPress={() => setOpen(true)}>
        <CircleHelp size={18} aria-hidden />
      </IconButton>
      {open && (
        <Dialog title={t('keys.title')} onClose={() => setOpen(false)}>
          <Keys>
            {keys.map((key) => (
              <div key={key} style={{ display: 'contents' }}>
                <dt>
                  <kbd>{t(`keys.${key}.key`)}</kbd>
                </dt>
                <dd>{t(`keys.${key}.does`)}</dd>
              </div>
            ))}
          </Keys>
          {children}
        </Dialog>
      )}
    </>
  );
}
