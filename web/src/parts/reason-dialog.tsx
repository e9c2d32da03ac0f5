import type { ReactNode } from 'react';
import { t } from '../messages';
import { Button } from './button';
import { Dialog } from './dialog';
import { Row } from './layout';
import { useReason } from './use-reason';

/**
 * Asks for the reason of something that is not undone by itself, and goes on with it.
 * @param reasonFor what the reason is kept for until it is given
 * @param doing the words on the button that goes on
 * @param onReason closes the dialog when it is done
 */
export function ReasonDialog({
  reasonFor,
  title,
  doing,
  onReason,
  onClose,
  children,
}: {
  reasonFor: string;
  title: string;
  doing: string;
  onReason: (reason: string) => void;
  onClose: () => void;
  children?: ReactNode;
}) {
  const { field, giving } = useReason(reasonFor);
  return (
    <Dialog title={title} onClose={onClose}>
      {children}
      {field}
      <Row>
        <Button look="main" onPress={() => giving(onReason)}>
          {doing}
        </Button>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
