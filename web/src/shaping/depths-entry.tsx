import { targetOf, type Station } from '@estribo/core/shaping';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { t } from '../messages';
import { partName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Fold } from '../parts/fold';
import { formatReading } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import type { WorkOf, WorkStage } from './kinds/piece';
import { LengthField } from './length-field';
import { readLengthOr } from './read-station';

/** Shares of a panel's length, from its upper end, at which a lordosis is read. */
const shares = [0, 25, 50, 75, 100] as const;

/** What a panel is formed to: how deep the back lies under a straight-edge, from the panel's upper end down. */
export function DepthsEntry({ work, stage }: { work: WorkOf; stage: WorkStage }) {
  const { state, unit, write } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const [part, setPart] = useState(work.parts[0]!.id);
  const [typed, type] = useDraft<Record<string, string>>(`${state.case}-depths-${part}`, {});
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const form = state.shaping.forms.findLast((one) => one.part === part);
  const take = () => {
    const read = (name: string, most: number) =>
      readLengthOr(typed[name] ?? '', unit, { least: 0, most, absent: undefined });
    const length = read('length', 700);
    const depths = shares.map((share) => ({ share, read: read(String(share), 120) }));
    const wrong = [length, ...depths.map((one) => one.read)].find((one) => 'problem' in one);
    if (wrong && 'problem' in wrong) return setProblem(wrong.problem);
    const whole = 'value' in length ? length.value : undefined;
    const points = depths.flatMap(({ share, read: one }): Station[] =>
      'value' in one && one.value !== undefined && whole !== undefined
        ? [{ at: Math.round(whole * (1 - share / 100)), out: -one.value }]
        : [],
    );
    if (points.length < 3) return setProblem(t('shaping.fewDepths'));
    void save(() =>
      write('shape.contour', 'shape', { part, source: 'depths', points, liner: 0, pad: 0, gap: 0 }).then(() =>
        type({}),
      ),
    );
  };
  return (
    <Fold title={t('shaping.depthsTitle')}>
      <Stack $gap={10}>
        <Soft>{t('shaping.depthsHow')}</Soft>
        {work.parts.length > 1 && (
          <Choice
            label={t('shaping.part')}
            options={work.parts.map(({ id }) => ({ value: id, label: partName(state.programme, id) }))}
            value={part}
            onChange={setPart}
          />
        )}
        {form && <Depths points={form.points} />}
        {mayShape && (
          <>
            <Row $align="flex-end">
              {(['length', ...shares.map(String)] as const).map((name) => (
                <LengthField
                  key={name}
                  label={name === 'length' ? t('shaping.depthLength') : t('shaping.depthAt', { share: name })}
                  unit={unit}
                  signed
                  value={typed[name] ?? ''}
                  onChange={(text) => {
                    type({ ...typed, [name]: text });
                    setProblem(undefined);
                  }}
                  onEnter={take}
                />
              ))}
            </Row>
            {problem && (
              <Notice tone="stop" live>
                {problem}
              </Notice>
            )}
            <Row>
              <Button onPress={take} isDisabled={saving}>
                {t('shaping.takeDepths')}
              </Button>
            </Row>
          </>
        )}
      </Stack>
    </Fold>
  );
}

/** The hollow as it was read, its upper end to the left; depths drawn three times as large as lengths. */
function Depths({ points }: { points: readonly Station[] }) {
  const { unit } = useWork();
  const curve = targetOf({ points, liner: 0, pad: 0, gap: 0, gapAtTop: 0 }, 0);
  const [low, high] = [Math.min(...points.map(({ at }) => at)), Math.max(...points.map(({ at }) => at))];
  const base = points.find(({ at }) => at === low)!.out;
  const places = Array.from({ length: 61 }, (_, i) => high - ((high - low) * i) / 60);
  const deepest = points.reduce((deep, one) => (one.out < deep.out ? one : deep));
  const perMm = 560 / Math.max(1, high - low);
  const line = places
    .map(
      (at, i) => `${i === 0 ? 'M' : 'L'}${(high - at) * perMm} ${6 - 3 * perMm * ((curve(at) ?? 0) + base)}`,
    )
    .join('');
  const said = t('shaping.depthsTaken', {
    depth: formatReading(-deepest.out, 'mm', unit),
    share: Math.round(((high - deepest.at) / (high - low)) * 100),
  });
  return (
    <>
      <svg viewBox={`0 0 560 ${Math.max(40, 16 + 3 * perMm * -deepest.out)}`} role="img" aria-label={said}>
        <path d="M0 6H560" stroke={color('edge')} strokeDasharray="4 4" />
        <path d={line} fill="none" stroke={color('skinLine')} strokeWidth="2" />
      </svg>
      <Soft>{said}</Soft>
    </>
  );
}
