import type { Posture } from '@estribo/core/brace';
import { named, t } from '../messages';
import { signed } from './format';

/** A posture in words: how the patient is, and the joints' angles; nothing where it is as it comes. */
export const formatPosture = (posture: Posture | undefined): string =>
  [
    ...(posture?.stance ? [named('steps', posture.stance)] : []),
    ...Object.entries(posture?.joints ?? {}).map(([joint, angle]) =>
      angle === 'as-ordered'
        ? t('strapping.jointAsOrdered', { joint: named('joints', joint) })
        : t('strapping.jointAt', { joint: named('joints', joint), angle: signed(angle) }),
    ),
  ].join(', ');
