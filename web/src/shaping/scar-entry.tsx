import type { BodyOf } from '@estribo/core/logbook';
import { zoneKinds } from '@estribo/core/shaping';
import { useWork } from '../case/case-context';
import { useEntryForm } from '../entry-form/use-entry-form';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Soft, Stack } from '../parts/layout';
import { ReadingField } from '../parts/reading-field';

interface NewScar {
  asking: boolean;
  what: (typeof zoneKinds)[number];
  face: BodyOf<'shape.scar'>['face'];
  from: string;
  to: string;
}

const noScar: NewScar = { asking: false, what: 'scar', face: 'front', from: '', to: '' };

/** A scar, by the face it is on and from where to where. */
export function ScarEntry() {
  const { state, unit } = useWork();
  const faces =
    state.programme.region === 'leg' || state.programme.region === 'ankle'
      ? (['front', 'medial', 'lateral', 'back'] as const)
      : (['front', 'right', 'left', 'back'] as const);
  const { typed, type, problems, saving, submit, clear } = useEntryForm({
    kind: 'shape.scar',
    stage: 'shape',
    draft: 'scar-2',
    empty: noScar,
    body: ({ what, face }, { number }) => ({
      what,
      face,
      from: number('from', { label: t('shaping.scarFrom'), quantity: 'distance' }),
      to: number('to', { label: t('shaping.scarTo'), quantity: 'distance' }),
    }),
  });
  if (!typed.asking)
    return (
      <Row>
        <Button onPress={() => type({ asking: true })}>{t('shaping.addScar')}</Button>
        <Soft>{t('shaping.scarHow')}</Soft>
      </Row>
    );
  return (
    <Stack $gap={10}>
      <Choice
        label={t('shaping.scarWhat')}
        options={zoneKinds.map((value) => ({ value, label: named('zone', value) }))}
        value={typed.what}
        onChange={(what) => type({ what })}
      />
      <Row $align="flex-end">
        <Choice
          label={t('shaping.scarFace')}
          options={faces.map((value) => ({
            value,
            label: named('face', value),
          }))}
          value={typed.face}
          onChange={(face) => type({ face })}
        />
        {(['from', 'to'] as const).map((end) => (
          <ReadingField
            key={end}
            small
            label={t(`shaping.scar${end === 'from' ? 'From' : 'To'}`)}
            kind="distance"
            minusSaid={(length) => t('shaping.belowMark', { length })}
            unit={unit}
            sign={unit}
            value={typed[end]}
            onChange={(text) => type({ [end]: text })}
            onEnter={submit}
            problem={problems[end]}
          />
        ))}
      </Row>
      <Row>
        <Button look="main" onPress={submit} isDisabled={saving}>
          {t('shaping.takeScar')}
        </Button>
        <Button look="quiet" onPress={clear}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
