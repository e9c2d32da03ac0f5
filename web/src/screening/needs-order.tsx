import { Link } from 'react-router';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Notice } from '../parts/notice';

/** A stage that follows the order, before there is one. */
export function NeedsOrder({ question }: { question: string }) {
  const { state } = useWork();
  return (
    <>
      <h1>{question}</h1>
      <Notice tone="caution">
        {t('order.missing')} <Link to={`/cases/${state.case}/screen`}>{named('stages', 'screen')}</Link>
      </Notice>
    </>
  );
}
