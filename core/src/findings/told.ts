import type { Judging, Told } from './finding';

/** What a call is about that tells somebody of what is fitted against the order. */
export const toldOfOrder = { patient: 'order-patient', prescriber: 'order-prescriber' } as const;

/** Who was told since: the patient and the prescriber, each by the last call about this order. */
export function toldAbout(
  { live, dayIn, heldBy }: Judging,
  order: string,
): { patient?: Told; prescriber?: Told } {
  const made = live('call.made').flatMap((entry) => (entry.kind === 'call.made' ? [entry] : []));
  const about = (name: string): Told | undefined => {
    const call = made.findLast(({ body }) => body.about === name && (heldBy(body.of) ?? body.of) === order);
    return call && { entry: call.id, whom: call.body.whom, said: call.body.said, day: dayIn(call) };
  };
  const [patient, prescriber] = [about(toldOfOrder.patient), about(toldOfOrder.prescriber)];
  return { ...(patient ? { patient } : {}), ...(prescriber ? { prescriber } : {}) };
}
