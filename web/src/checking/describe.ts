import { type Describers } from '../case/describers';
import { named, t } from '../messages';
import { checkWords } from '../messages/fitting';
import { checkOf, saidFound } from './found';

/** How the entries of Check are said. */
export const describers = {
  'check.recorded': (entry, { state, unit }) => {
    const check = checkOf(state, entry.body.check);
    const amount = (value: number) =>
      check ? saidFound(state.programme, check, value, unit) : String(value);
    return {
      title: entry.body.moment
        ? t('checking.at', {
            check: checkWords(state.programme, entry.body.check).name,
            moment: named('checkMoment', entry.body.moment),
          })
        : checkWords(state.programme, entry.body.check).name,
      value:
        entry.body.seen !== undefined
          ? entry.body.seen
            ? t('common.yes')
            : t('common.no')
          : entry.body.notReached
            ? t('checking.notReached')
            : amount(entry.body.value!),
      ...(entry.body.reference === undefined ? {} : { rest: amount(entry.body.reference) }),
    };
  },
  'check.signed': (entry) => ({
    title: t('entry.signed'),
    value: named('result', entry.body.result),
    rest: (entry.body.shown ?? []).map((one) => t(`checking.shown.${one}`)).join(', '),
  }),
} satisfies Describers;
