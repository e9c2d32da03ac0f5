import type { Programme } from '@estribo/core/programmes';
import type { Stage } from '@estribo/core/record';
import { named, t } from '../messages';
import { Small, Soft, Stack } from '../parts/layout';

/** What a stage is for, and where schools differ: the one that this brace follows, and the other. */
export function StageHelp({ stage, programme }: { stage: Stage; programme: Programme }) {
  const school = schoolOf(stage, programme);
  return (
    <Stack $gap={6}>
      <h2>{named('stages', stage)}</h2>
      <p>{named('stageFor', stage)}</p>
      {school && (
        <>
          <p>
            <b>{t('schools.here')}</b> {school.here}
          </p>
          <Soft>
            <b>{t('schools.other')}</b> {school.other}
          </Soft>
          <Small>{t('schools.source')}</Small>
        </>
      )}
    </Stack>
  );
}

/** The school a programme follows in a stage, in words; undefined where practice does not differ or it is silent. */
function schoolOf(stage: Stage, programme: Programme): { here: string; other: string } | undefined {
  // practice states schools for the knee alone
  if (stage === 'set' && programme.region === 'leg')
    return {
      here: t(`schools.hinge.${programme.hinge ?? 'silent'}`),
      other: t(
        programme.hinge === 'on-midline' ? 'schools.hinge.behind-midline' : 'schools.hinge.on-midline',
      ),
    };
  if (stage === 'strap' && programme.region === 'leg')
    return {
      here:
        programme.donning === undefined
          ? t('schools.donning.silent')
          : t('schools.donning.at', { angle: programme.donning }),
      other: t('schools.donning.other'),
    };
  if (stage === 'wear') return { here: t('schools.wear.here'), other: t('schools.wear.other') };
  return undefined;
}
