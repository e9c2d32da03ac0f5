import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { formatTurn, madeIn, type Turn } from '@estribo/core/setting';
import { listed, type Describers } from '../case/describers';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { formatDistance } from '../parts/format';
import { formatMade } from './format-setting';

/** How the entries of Set are said. */
export const describers = {
  'set.chosen': ({ body }, { state, unit }) => {
    const { name, value } = settingSaid(state, body, unit);
    return {
      title: t('entry.chosen', { what: name }),
      ...value,
      rest: body.phase === undefined ? '' : t('entry.phase', { phase: body.phase + 1 }),
    };
  },
  'set.made': ({ body }, { state, unit }) => {
    const { name, value } = settingSaid(state, body, unit);
    const { everyDays } = body;
    return {
      title: name,
      ...value,
      rest: body.found
        ? t('entry.found')
        : body.reported
          ? listed(
              everyDays !== undefined && t('setting.toldEvery', { count: everyDays }),
              t('setting.byPatient'),
            )
          : '',
    };
  },
  'set.turned': (entry, { state }) => ({
    title: t('entry.turned', { what: settingWords(state.programme, entry.body.setting).name }),
    value: entry.body.turns.map(({ n, d }) => formatTurn({ n, d })).join(' / '),
    rest: listed(
      entry.body.reported && t('setting.byPatient'),
      entry.body.found && t('entry.found'),
      entry.body.inSpite,
    ),
  }),
  'set.felt': (entry, { state }) => ({
    title: t('entry.felt', { what: settingWords(state.programme, entry.body.setting).name }),
    value: t(`setting.comfort.${entry.body.comfort}`),
    rest: entry.body.pain === undefined ? '' : t('entry.pain', { pain: entry.body.pain }),
  }),
  'set.handed-over': (entry, { state }) => ({
    title: t('entry.handedOver', { what: settingWords(state.programme, entry.body.setting).name }),
    value: formatTurn(entry.body.within as Turn),
  }),
  'hinge.placed': (entry, { unit }) => ({
    title: t('entry.hinge'),
    value: t('entry.hingeAt', { above: formatDistance(entry.body.aboveJointLine, unit) }),
  }),
} satisfies Describers;

/** A setting's name, and what it was set to where the family has it still. */
function settingSaid(
  state: CaseState,
  body: { setting: string } & Parameters<typeof madeIn>[0],
  unit: LengthUnit,
) {
  const setting = state.programme.settings.find(({ id }) => id === body.setting);
  return {
    name: settingWords(state.programme, body.setting).name,
    value: setting ? { value: formatMade(setting, madeIn(body), unit) } : {},
  };
}
