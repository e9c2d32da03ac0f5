import { boundsOf, type BodyOf } from '@estribo/core/logbook';
import { zoneKinds } from '@estribo/core/shaping';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Soft, Stack } from '../parts/layout';
import { ReadingField } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { readPlace } from './read-place';

interface NewScar {
  asking: boolean;
  what: (typeof zoneKinds)[number];
  face: BodyOf<'shape.scar'>['face'];
  ends: { from: string; to: string };
}

const noScar: NewScar = { asking: false, what: 'scar', face: 'front', ends: { from: '', to: '' } };

/** A scar, by the face it is on and from where to where. */
export function ScarEntry() {
  const { state, unit, write } = useWork();
  const [scar, setScar] = useDraft<NewScar>(`${state.case}-scar`, noScar);
  const { asking, what, face, ends } = scar;
  const faces =
    state.programme.region === 'leg' || state.programme.region === 'ankle'
      ? (['front', 'medial', 'lateral', 'back'] as const)
      : (['front', 'right', 'left', 'back'] as const);
  const [problem, setProblem] = useState<{ from?: string; to?: string }>({});
  const [saving, save] = useSaving();
  if (!asking)
    return (
      <Row>
        <Button onPress={() => setScar({ ...scar, asking: true })}>{t('shaping.addScar')}</Button>
        <Soft>{t('shaping.scarHow')}</Soft>
      </Row>
    );
  const take = () => {
    const read = {
      from: readPlace(t('shaping.scarFrom'), ends.from, unit, boundsOf('shape.scar', 'from')),
      to: readPlace(t('shaping.scarTo'), ends.to, unit, boundsOf('shape.scar', 'to')),
    };
    const wrong = {
      ...('problem' in read.from ? { from: read.from.problem } : {}),
      ...('problem' in read.to ? { to: read.to.problem } : {}),
    };
    if ('problem' in read.from || 'problem' in read.to) return setProblem(wrong);
    const [from, to] = [read.from.value, read.to.value];
    void save(() => write('shape.scar', 'shape', { what, face, from, to }).then(() => setScar(noScar)));
  };
  return (
    <Stack $gap={10}>
      <Choice
        label={t('shaping.scarWhat')}
        options={zoneKinds.map((value) => ({ value, label: named('zone', value) }))}
        value={what}
        onChange={(chosen) => setScar({ ...scar, what: chosen })}
      />
      <Row $align="flex-end">
        <Choice
          label={t('shaping.scarFace')}
          options={faces.map((value) => ({
            value,
            label: named('face', value),
          }))}
          value={face}
          onChange={(chosen) => setScar({ ...scar, face: chosen })}
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
            value={ends[end]}
            onChange={(text) => setScar({ ...scar, ends: { ...ends, [end]: text } })}
            onEnter={take}
            problem={problem[end]}
          />
        ))}
      </Row>
      <Row>
        <Button look="main" onPress={take} isDisabled={saving}>
          {t('shaping.takeScar')}
        </Button>
        <Button look="quiet" onPress={() => setScar(noScar)}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
