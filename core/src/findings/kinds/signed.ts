import { isSignedPass } from '../../checking';
import type { Judging, FindingRule, CaseFinding } from '../finding';
import { finding } from '../finding';

/** What, done behind a signature, makes it one of before: by kind of entry. */
const changes = ['set.made', 'set.turned', 'size.chosen', 'work.done', 'shape.heat', 'case.moved'];

/** Nobody has signed, what was signed failed, or it was signed before something that has changed since. */
export const signed: FindingRule = (judging) => {
  const { checking, programme } = judging.state;
  if (programme.checks.length === 0) return [];
  const { signed: signature } = checking;
  const common = { level: 'by-date', withholds: ['plan', 'teach-back'], mayBeOverridden: false } as const;
  const say = (kind: string, more: Partial<CaseFinding> = {}) =>
    finding(kind, 'check', {
      ...common,
      withholds: [...common.withholds],
      ...(signature ? { entries: [signature.entry] } : {}),
      ...more,
    });
  if (!signature) return [say('not-signed', { level: 'note' })];
  const { decided } = signature;
  const day = judging.dayOf(signature.entry);
  if (decided.result === 'fail') return [say('signed-fail', { level: 'today', day })];
  const since = judging.beganAt(signature.entry);
  const { order } = judging.state;
  const isOfEarlierOrder = order !== undefined && judging.writtenAt(order.entry) > since;
  const changed = changedSince(judging, since);
  return [
    ...(isOfEarlierOrder
      ? [say('signed-for-earlier-order', { day, entries: [signature.entry, order.entry] })]
      : []),
    ...(changed.length > 0
      ? [
          say('signed-before-change', {
            day,
            about: changed.at(-1)!.kind,
            entries: [signature.entry, ...changed.map(({ id }) => id)],
          }),
        ]
      : []),
    ...(isSignedPass(checking) || isOfEarlierOrder || changed.length > 0
      ? []
      : [say('signed-otherwise', { day })]),
  ];
};

/** What was changed of the brace after a place in the record; what the patient changed alone, and air and belts, were taught. */
const changedSince = ({ live, writtenAt, state }: Judging, since: number) =>
  live(...changes).filter((entry) => {
    if (writtenAt(entry.id) <= since) return false;
    if (entry.kind !== 'set.made' && entry.kind !== 'set.turned') return true;
    const setting = state.programme.settings.find(({ id }) => id === entry.body.setting);
    return !entry.body.reported && setting?.made !== 'each-donning' && setting?.kind !== 'fill';
  });

/** Straps that were closed before the work on the brace that followed: it goes on anew. */
export const donnedBefore: FindingRule = ({ live, writtenAt, beganAt, state }) => {
  const { strapping } = state;
  const done = live('strap.done').at(-1);
  if (!done || strapping.now !== undefined || strapping.list === undefined) return [];
  const work = live('work.done', 'size.chosen').findLast(
    (entry) =>
      writtenAt(entry.id) > beganAt(done.id) &&
      !(entry.kind === 'work.done' && isOnTheBody(state, entry.body.operation)),
  );
  return work
    ? [finding('donned-before', 'strap', { level: 'by-date', about: work.kind, entries: [done.id, work.id] })]
    : [];
};

/** A strap is cut while it is on, and some plastic is formed there; for anything else the brace comes off. */
function isOnTheBody({ shaping }: Judging['state'], id: string): boolean {
  const operation = shaping.work.find((one) => one.operation.id === id)?.operation;
  return operation?.kind === 'cut' || (operation?.kind === 'mould' && operation.off !== true);
}
