import { dayOf } from '@estribo/core/calendar';
import type { CaseFinding } from '@estribo/core/findings';
import type { CaseState, UrgentCall } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { judgeSetting, wantedOn } from '@estribo/core/setting';
import { aboutCall } from '../case/about-call';
import { findingShort, t, named } from '../messages';
import { checkName, operationWords, partName, settingWords, stepWords } from '../messages/fitting';
import { formatDay } from '../parts/format';
import { formatMade, formatWanted } from '../setting/format-setting';

/** How a finding is said: what it is, and what of this case makes it so. */
export interface FindingText {
  title: string;
  detail: string;
}

type Said = Pick<CaseFinding, 'kind' | 'about'>;

const capitalised = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** A danger by its call: "finding limb-cold". */
export function dangerOf(about = ''): { why: UrgentCall['why']; name: string } {
  const [why = '', ...name] = about.split(' ');
  return { why: why as UrgentCall['why'], name: name.join(' ') };
}

/** What a finding is of, in the words of its family; nothing where the kind says it all. */
function formatAbout(programme: CaseState['programme'] | undefined, { kind, about }: Said): string {
  if (about === undefined) return '';
  switch (kind) {
    case 'danger':
      return capitalised(aboutCall(dangerOf(about)));
    case 'compartment-asked':
      return '';
    case 'sign-not-assessed':
    case 'block-over':
      return findingShort(about);
    case 'review-due':
      return named('findingReview', about);
    case 'limbs-not-noted':
      return named('moment', about);
    case 'order-silent':
      return named('findingSilent', about);
    case 'signed-before-change':
    case 'donned-before':
      return named('kinds', about);
  }
  if (!programme) return named('findingAbout', kind);
  switch (kind) {
    case 'work-open':
    case 'heat-running':
      return operationWords(programme, about).name;
    case 'mark-open':
      return partName(programme, about);
    case 'not-donned':
    case 'donning-open':
      return stepWords(programme, about).name;
    case 'check-open':
    case 'limb-not-safe':
      return checkName(about);
    default:
      return settingWords(programme, about).name;
  }
}

/**
 * A finding's title.
 * @param programme the case's family; undefined where only its summary is known
 */
export const formatFindingTitle = (programme: CaseState['programme'] | undefined, one: Said): string =>
  t(`caseFinding.${one.kind as 'exceeds-order'}`, { what: formatAbout(programme, one) });

/** A finding in full, for the case it is of. */
export function formatFinding(
  state: CaseState,
  one: CaseFinding,
  today: string,
  unit: LengthUnit,
): FindingText {
  return { title: formatFindingTitle(state.programme, one), detail: detailOf(state, one, today, unit) };
}

function detailOf(state: CaseState, one: CaseFinding, today: string, unit: LengthUnit): string {
  const made = state.setting.made.find(({ setting }) => setting.id === one.about);
  switch (one.kind) {
    case 'exceeds-order':
    case 'not-as-ordered':
    case 'stricter-than-ordered': {
      const wanted = made && wantedOn(made.setting, state, today);
      return made?.made && wanted
        ? t('caseFindingDetail.against', {
            fitted: formatMade(made.setting, made.made, unit),
            ordered: formatWanted(made.setting, wanted, unit),
          })
        : '';
    }
    case 'not-set': {
      const wanted = made && state.order && wantedOn(made.setting, state, today);
      return made && wanted && judgeSetting(made.setting, undefined, wanted).state === 'open'
        ? t('caseFindingDetail.target', { target: formatWanted(made.setting, wanted, unit) })
        : '';
    }
    case 'signed-for-earlier-order':
      return t('caseFindingDetail.signedFor', {
        day: formatDay(one.day!),
        ordered: formatDay(dayOfOrder(state)),
      });
    case 'signed-fail':
    case 'signed-before-change':
    case 'signed-otherwise':
      return t('caseFindingDetail.signedOn', { day: formatDay(one.day!) });
    case 'donning-open':
      return t('caseFindingDetail.left', { count: one.left ?? 0 });
    case 'block-over':
      return t('caseFindingDetail.blockUntil', { day: formatDay(one.day!) });
    case 'review-due':
      return t('caseFindingDetail.reviewBy', { day: formatDay(one.day!) });
    case 'order-ended':
      return t('caseFindingDetail.ended', { day: formatDay(one.day!) });
    default:
      return '';
  }
}

/** The day on which the order in force was written, by the clinic's calendar. */
function dayOfOrder({ lines, order, opened, zone }: CaseState): string {
  const entry = lines.find(({ entry: { id } }) => id === order?.entry)?.entry;
  return entry ? dayOf(entry.observedAt, zone) : opened;
}
