import { wantedOn, type MadeSetting } from '@estribo/core/logbook';
import { judgeSetting, placesOf, type Setting, type Wanted } from '@estribo/core/setting';
import type { LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { color, narrow, size } from '../look/tokens';
import { useMay, useWork } from '../case/case-context';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { degrees } from '../parts/print';
import { screenOf } from './kinds/all';
import type { SettingStage } from './kinds/piece';
import { printSetting } from './print-setting';

const Line = styled.li<{ $state: 'open' | 'right' | 'wrong' }>`
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(0, auto);
  gap: 6px 16px;
  align-items: center;
  padding: 8px 12px;
  border: 1px solid ${color('line')};
  border-left: 4px solid
    ${({ $state }) => color($state === 'wrong' ? 'madder' : $state === 'right' ? 'moss' : 'line')};
  border-radius: 4px;
  background: ${color('sheet')};
  & > :nth-child(n + 3) {
    grid-column: 1 / -1;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/**
 * Everything that is set beside stops: what it should be, what it was set to, whether both of a pair agree.
 * @param only one of them, where a step asks for it
 */
export function SettingsWork({ only, stage = 'set' }: { only?: string; stage?: SettingStage }) {
  const { state } = useWork();
  // what is set while it goes on is set there
  const made = state.setting.made.filter(({ setting }) =>
    only === undefined ? setting.made !== 'at-step' : setting.id === only,
  );
  if (made.length === 0) return null;
  return (
    <Stack $gap={8} as="ul">
      {made.map((one) => (
        <SettingLine key={one.setting.id} one={one} stage={stage} />
      ))}
    </Stack>
  );
}

function printWanted(setting: Setting, wanted: Wanted, unit: LengthUnit): string {
  if (wanted === 'open') return t('setting.lockOpen');
  const { from, to } = wanted;
  return from === to
    ? printSetting(setting, from, unit)
    : t('setting.range', { from: printSetting(setting, from, unit), to: printSetting(setting, to, unit) });
}

function SettingLine({ one: { setting, made }, stage }: { one: MadeSetting; stage: SettingStage }) {
  const { state, today, unit } = useWork();
  const mayNow = useMay(stage);
  const words = settingWords(state.programme, setting.id);
  const wanted = wantedOn(setting, state, today);
  // by what is wanted today: an order of another phase makes what was right yesterday wrong
  const judged = judgeSetting(setting, made, wanted);
  const { Piece, note, inOrOut } = screenOf(setting);
  const may = mayNow(setting.by === 'orthotist' ? 'setting.write' : 'strapping.write');
  return (
    <Line $state={judged.state}>
      <div>
        <b>{words.name}</b>
        <Soft style={{ fontSize: size.small }}>
          {[
            words.how,
            wanted === undefined
              ? ''
              : t('setting.wanted', {
                  value: [words.unit, printWanted(setting, wanted, unit)].filter(Boolean).join(' '),
                }),
            note?.(setting) ?? '',
          ]
            .filter(Boolean)
            .join(' ')}
        </Soft>
      </div>
      {!may ? (
        <b>
          {made?.fitted !== undefined && inOrOut
            ? t(made.fitted ? inOrOut.in : inOrOut.out)
            : placesOf(setting)
                .flatMap((place) => {
                  const value = made?.values?.[place];
                  return value === undefined ? [] : [printSetting(setting, value, unit)];
                })
                .join(' / ')}
        </b>
      ) : (
        <Piece setting={setting} made={made} words={words} stage={stage} />
      )}
      {judged.state === 'wrong' && (
        <p role="alert" style={{ color: color('madder'), fontWeight: 700 }}>
          {t(`setting.wrong.${judged.why}`, {
            // what differs is an amount and lies towards no end
            by:
              judged.why === 'not-locked' || judged.why === 'not-ordered' || !('joint' in setting)
                ? printSetting(setting, judged.by, unit)
                : degrees(judged.by),
          })}
        </p>
      )}
      {words.caution && <Notice tone="caution">{words.caution}</Notice>}
    </Line>
  );
}
