import { may, type Permission } from '@estribo/core/access';
import { t } from '../messages';
import { Notice } from '../parts/notice';
import { useWork } from './case-context';

/** Says that a role reads a stage and does not write it; nothing where something else keeps it from being done. */
export function RoleReads({ permission }: { permission: Permission }) {
  const { user } = useWork();
  return may(user.role, permission) ? null : <Notice tone="caution">{t('common.notYourRole')}</Notice>;
}
