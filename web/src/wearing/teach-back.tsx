import { needsCarer } from '@estribo/core/handout';
import { taughtHow } from '@estribo/core/wearing';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';

/** Put on once more before leaving: by whom, and how it went. What did not go yet is tried again. */
export function TeachBack({ mayWrite, isWithheld }: { mayWrite: boolean; isWithheld: boolean }) {
  const { state, today, born, write } = useWork();
  const { taught, tried } = state.wearing;
  const isHelpless = needsCarer(state, today, born);
  // lying down or by log-roll nobody does it alone
  const byCarer = isHelpless || state.strapping.list?.handling !== undefined;
  const [who, setWho] = useDraft<'patient' | 'carer'>(`${state.case}-taught`, byCarer ? 'carer' : 'patient');
  const [saving, save] = useSaving();
  if (taught)
    return (
      <Notice tone="good">
        {[
          t('wearing.taught', { who: named('who', taught) }),
          tried?.how && t('wearing.taughtHow', { how: t(`wearing.how.${tried.how}`) }),
        ]
          .filter(Boolean)
          .join(' ')}
      </Notice>
    );
  return (
    <Stack $gap={8}>
      <h2>{t('wearing.teachBack')}</h2>
      <Soft>
        {t(
          state.order?.order.protective
            ? 'wearing.teachBackProtective'
            : isHelpless
              ? 'wearing.teachBackCarer'
              : 'wearing.teachBackHow',
        )}
      </Soft>
      {tried && <Notice tone="caution">{t('wearing.notYet', { who: named('who', tried.who) })}</Notice>}
      {mayWrite && (
        <Row $align="flex-end">
          <Choice
            label={t('wearing.by')}
            options={(['patient', 'carer'] as const).map((value) => ({ value, label: named('who', value) }))}
            value={who}
            onChange={(value) => setWho(value as 'patient' | 'carer')}
          />
          {taughtHow.map((how) => (
            <Button
              key={how}
              isDisabled={saving || (isWithheld && how !== 'not-yet')}
              aria-label={t('wearing.putOnHow', { who: named('who', who), how: t(`wearing.how.${how}`) })}
              onPress={() => void save(() => write('wear.taught', 'wear', { who, how }))}
            >
              {t(`wearing.how.${how}`)}
            </Button>
          ))}
        </Row>
      )}
    </Stack>
  );
}
