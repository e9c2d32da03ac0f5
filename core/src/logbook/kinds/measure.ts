import { body, finite, name, oneOf, side, text, whole, yes } from '../fields';
import { kind } from './kind';

export const measureRead = kind('measure.read', {
  nature: 'fact',
  stages: ['measure', 'review'],
  permission: 'measuring.write',
  body: body({
    step: name().required(),
    side: side().required(),
    /** mm for a girth, degrees for a posture */
    value: finite().min(-30).max(3000).required(),
    instrument: oneOf('tape', 'goniometer').required(),
  }),
});

export const measureMarked = kind('measure.marked', {
  nature: 'fact',
  stages: ['measure'],
  permission: 'measuring.write',
  body: body({ step: name().required(), side: side().required() }),
});

export const measureSkipped = kind('measure.skipped', {
  nature: 'fact',
  stages: ['measure'],
  permission: 'measuring.write',
  body: body({ step: name().required(), side: side().required(), reason: text(200).min(3).required() }),
});

export const motionTested = kind('motion.tested', {
  nature: 'fact',
  stages: ['set', 'review'],
  permission: 'measuring.write',
  body: body({
    side: side().required(),
    mode: oneOf('active', 'passive').required(),
    /** neutral zero: beyond zero positive, short of it negative */
    extension: whole().min(-120).max(30).required(),
    flexion: whole().min(-30).max(180).required(),
    limitReached: body({ extension: yes().required(), flexion: yes().required() }),
  }),
});
