import type { BarState } from '@estribo/core/shaping';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { placeOnBar } from './bar-words';
import { LengthField, PlaceFields } from './length-field';
import { readLengthOr } from './read-station';

interface Draft {
  what: 'gaps' | 'offsets';
  read: Record<string, string>;
}

/** What was seen of a bar after a pass: its gaps to the contour, or its own offsets. Not every place has to be read. */
export function GapsEntry({
  bar,
  onTaken,
  onCancel,
}: {
  bar: BarState;
  onTaken: () => void;
  onCancel: () => void;
}) {
  const { state, unit, write } = useWork();
  const [draft, setDraft] = useDraft<Draft>(`${state.case}-gaps-${bar.part.id}`, { what: 'gaps', read: {} });
  const [problem, setProblem] = useState<Record<string, string>>({});
  const [saving, save] = useSaving();
  const places = [...new Set((bar.contour?.points ?? []).map(({ at }) => Math.round(at)))]
    .filter((at) => Math.abs(at) >= bar.held)
    .sort((a, b) => b - a);
  // a contour of many stations is read at every other one
  const shown = places.filter((_, i) => i % Math.ceil(places.length / 12) === 0);
  const take = () => {
    const wrong: Record<string, string> = {};
    const points = shown.flatMap((at) => {
      const read = readLengthOr(draft.read[at] ?? '', unit, { least: -100, most: 100, absent: undefined });
      if ('problem' in read) wrong[at] = read.problem;
      // a bar's offset is typed as a contour's: further from the straight-edge is further in
      return 'value' in read && read.value !== undefined
        ? [{ at, out: draft.what === 'gaps' ? read.value : -read.value }]
        : [];
    });
    if (Object.keys(wrong).length === 0 && points.length < 2) wrong.all = t('shaping.fewGaps');
    if (Object.keys(wrong).length > 0) return setProblem(wrong);
    void save(() =>
      write('shape.bar-read', 'shape', { part: bar.part.id, what: draft.what, points }).then(() => {
        setDraft({ what: draft.what, read: {} });
        onTaken();
      }),
    );
  };
  return (
    <Stack $gap={10}>
      <h3>{t('shaping.measureGaps')}</h3>
      <Choice
        label={t('shaping.whatIsRead')}
        options={(['gaps', 'offsets'] as const).map((value) => ({
          value,
          label: t(`shaping.readBy.${value}`),
        }))}
        value={draft.what}
        onChange={(what) => setDraft({ ...draft, what })}
      />
      <Soft>{t(`shaping.readHow.${draft.what}`)}</Soft>
      <PlaceFields>
        {shown.map((at) => (
          <LengthField
            key={at}
            label={placeOnBar(bar, at, unit)}
            unit={unit}
            signed
            value={draft.read[at] ?? ''}
            minusSaid={(length) =>
              t(draft.what === 'gaps' ? 'shaping.presses' : 'shaping.inwards', { length })
            }
            onChange={(text) => {
              setDraft({ ...draft, read: { ...draft.read, [at]: text } });
              setProblem({});
            }}
            onEnter={take}
            problem={problem[at]}
          />
        ))}
      </PlaceFields>
      {problem.all && (
        <Notice tone="stop" live>
          {problem.all}
        </Notice>
      )}
      <Row>
        <Button look="main" onPress={take} isDisabled={saving}>
          {t('shaping.takeGaps')}
        </Button>
        <Button look="quiet" onPress={onCancel}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
