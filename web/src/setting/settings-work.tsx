import { stands } from '@estribo/core/record';
import { hasEnded } from '@estribo/core/order';
import {
  isUnderOrder,
  judgeSetting,
  sameMade,
  choiceOn,
  decideSetting,
  madeIn,
  wantedOn,
  type MadeSetting,
} from '@estribo/core/setting';
import { useState } from 'react';
import styled from 'styled-components';
import { color, narrow, size } from '../look/tokens';
import { useMay, useSelection, useWork } from '../case/case-context';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { degrees } from '../parts/format';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';
import { screenOf } from './kinds/all';
import { withUnit, type SettingStage } from './kinds/piece';
import { Moves } from './moves';
import { formatMade, formatSetting, formatWanted } from './format-setting';
import { ToldByPatient } from './use-made';

const Line = styled.li<{ $state: 'open' | 'right' | 'wrong'; $now: boolean; $wide: boolean }>`
  display: grid;
  grid-template-columns: ${({ $wide }) => ($wide ? 'minmax(0, 1fr)' : 'minmax(200px, 1fr) minmax(0, auto)')};
  gap: 6px 16px;
  align-items: center;
  padding: 8px 12px;
  border: 1px solid ${({ $now }) => color($now ? 'river' : 'line')};
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
 * Everything that is set: what it should be, what it was set to, whether both of a pair agree.
 * @param only one of them, where a step asks for it
 */
export function SettingsWork({ only, stage = 'set' }: { only?: string; stage?: SettingStage }) {
  const { state } = useWork();
  // what is set while it goes on is set there
  const made = state.setting.made.filter(({ setting }) =>
    only === undefined ? setting.made !== 'at-step' && !screenOf(setting).Whole : setting.id === only,
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

function SettingLine({ one, stage }: { one: MadeSetting; stage: SettingStage }) {
  const { setting, made, flags } = one;
  const { state, today, unit } = useWork();
  const { selected } = useSelection();
  const may = useMay(stage);
  const words = settingWords(state.programme, setting.id);
  const wanted = wantedOn(setting, state, today);
  // by what is wanted today: an order of another phase makes what was right yesterday wrong
  const judged = judgeSetting(setting, made, wanted);
  const { Piece, note, wide } = screenOf(setting);
  const own = setting.by === 'orthotist';
  // at a review the patient tells what was changed at home
  const mayTell = stage === 'review' && setting.patient !== undefined && made !== undefined;
  const [told, tell] = useState(false);
  return (
    <Line
      $state={judged.state}
      $now={selected === setting.id}
      $wide={wide === true}
      id={`thing-${setting.id}`}
    >
      <div>
        <b>{words.name}</b>
        <Soft style={{ fontSize: size.small }}>
          {[
            words.how,
            wanted === undefined
              ? ''
              : t('setting.wanted', {
                  value: withUnit(setting, words.unit, formatWanted(setting, wanted, unit)),
                }),
            note?.(setting) ?? '',
            setting.perChange === undefined
              ? ''
              : t('setting.perChange', { most: formatSetting(setting, setting.perChange, unit) }),
            setting.inAll === undefined
              ? ''
              : t('setting.inAll', { most: formatSetting(setting, setting.inAll, unit) }),
            setting.patient
              ? t('setting.patientMay', {
                  within: formatSetting(setting, setting.patient.within, unit),
                  count: setting.patient.everyDays,
                })
              : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </Soft>
        <Moves setting={setting} words={words} />
      </div>
      {!may('strapping.write') ? (
        <b>{made ? formatMade(setting, made, unit) : ''}</b>
      ) : (
        <ToldByPatient.Provider value={mayTell && told}>
          <Piece setting={setting} made={made} words={words} stage={stage} />
        </ToldByPatient.Provider>
      )}
      {mayTell && may('strapping.write') && (
        <Tick isSelected={told} onChange={tell}>
          {t('setting.patientChanged')}
        </Tick>
      )}
      {judged.state === 'wrong' && (
        <p role="alert" style={{ color: color('madder'), fontWeight: 700 }}>
          {t(`setting.wrong.${judged.why}`, {
            // what differs is an amount and lies towards no end
            by:
              judged.why === 'not-locked' || judged.why === 'not-ordered' || !('joint' in setting)
                ? formatSetting(setting, judged.by, unit)
                : degrees(judged.by),
          })}
        </p>
      )}
      {flags.map((flag) => (
        <Notice key={flag} tone="caution">
          {t(`setting.flag.${flag}`)}
        </Notice>
      ))}
      {isUnderOrder(setting) && (!state.order || hasEnded(state.order.order, today)) && (
        <Notice tone="stop">{t('setting.noOrderNow')}</Notice>
      )}
      {own && <Choosing one={one} stage={stage} />}
      {words.caution && <Notice tone="caution">{words.caution}</Notice>}
    </Line>
  );
}

/** What is an orthotist's work can be chosen, for somebody else to make; whoever else makes it, records it as found. */
function Choosing({ one: { setting, chosen, made }, stage }: { one: MadeSetting; stage: SettingStage }) {
  const { state, today, unit, write } = useWork();
  const may = useMay(stage);
  const [saving, save] = useSaving();
  const choice = choiceOn(setting, state, today);
  const decided = chosen && stands(chosen) ? madeIn(chosen.decided) : undefined;
  if (!may('setting.write'))
    return (
      <Soft>
        {[
          decided && t('setting.isChosen', { value: formatMade(setting, decided, unit) }),
          may('strapping.write') && t('setting.asFound'),
        ]
          .filter(Boolean)
          .join(' ')}
      </Soft>
    );
  if (decided)
    return made && sameMade(made, decided) ? null : (
      <Soft>{t('setting.isChosen', { value: formatMade(setting, decided, unit) })}</Soft>
    );
  if (!choice?.ok || (made && sameMade(made, choice.made))) return null;
  return (
    <Row>
      <Button
        look="quiet"
        isDisabled={saving}
        onPress={() =>
          void save(() => write('set.chosen', stage, decideSetting(state, setting.id, today, false)!))
        }
      >
        {t('setting.chooseFor', { value: formatMade(setting, choice.made, unit) })}
      </Button>
    </Row>
  );
}
