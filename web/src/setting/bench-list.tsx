import type { BenchStep, HingeStops, StopHardware } from '@estribo/core/setting';
import styled from 'styled-components';
import { named, t } from '../messages';
import { color, size } from '../look/tokens';
import { degrees } from '../parts/format';

const List = styled.ol`
  margin: 0;
  padding: 8px 12px 8px 32px;
  border: 1px solid ${color('line')};
  border-radius: 4px;
  background: ${color('sheet')};
  font-size: ${size.small};
  & li {
    padding: 2px 0;
  }
`;

/** What is in each hinge when the brace comes, where its model says so. */
export const installedIn = (
  hardware: StopHardware | undefined,
  hinges: readonly string[],
): Record<string, HingeStops> | undefined =>
  hardware?.installed
    ? Object.fromEntries(
        hinges.map((hinge) => [
          hinge,
          { extension: hardware.installed!.extension ?? NaN, flexion: hardware.installed!.flexion ?? null },
        ]),
      )
    : undefined;

const said = (step: BenchStep): string => {
  if (!('hinge' in step)) return t(`benchList.${step.do}`);
  const hinge = named('settingPlace', step.hinge);
  const end = t(`setting.stopInside.${step.end}`);
  if (step.do === 'set')
    return t('benchList.set', {
      hinge,
      end,
      piece: step.piece === null ? t('setting.none') : degrees(step.piece),
    });
  return t(`benchList.${step.do}.${step.how === 'wedges' ? step.end : 'screwed'}`, {
    hinge,
    end,
    piece: degrees(step.piece),
  });
};

/** The working list for the bench: piece by piece, which out, which in, from which side. */
export function BenchList({ steps }: { steps: readonly BenchStep[] }) {
  return steps.length === 0 ? null : (
    <List aria-label={t('benchList.title')}>
      {steps.map((step, i) => (
        <li key={i}>{said(step)}</li>
      ))}
    </List>
  );
}
