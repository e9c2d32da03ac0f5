import { array } from 'yup';
import { findings, type Finding } from '../../screening';
import { body, day, entryId, finite, oneOf, side, text, whole, yes } from '../fields';
import { kind } from './kind';

const finding = () => oneOf(...(Object.keys(findings) as Finding[])).required();

export const screenLooked = kind('screen.looked', {
  nature: 'fact',
  stages: ['screen', 'review'],
  permission: 'screening.write',
  body: body({
    answers: array()
      .of(body({ finding: finding(), present: yes().required(), note: text(400) }))
      .min(1)
      .max(40)
      .strict()
      .required(),
  }),
});

export const screenOverridden = kind('screen.overridden', {
  nature: 'decision',
  stages: ['screen'],
  permission: 'screening.override',
  body: body({ finding: finding(), of: entryId().required(), reason: text(400).min(3).required() }),
});

const limit = () => finite().min(-30).max(180);

export const orderGiven = kind('order.given', {
  nature: 'intent',
  stages: ['screen', 'review'],
  permission: 'order.write',
  body: body({
    diagnosis: text(400).min(1).required(),
    prescriber: text(120).min(1).required(),
    side: side().required(),
    dayZero: day().required(),
    phases: array()
      .of(
        body({
          fromDay: whole().min(0).max(3650).required(),
          window: body({ extension: limit(), flexion: limit() }),
        }),
      )
      .min(1)
      .max(20)
      .strict()
      .required(),
    protective: yes().required(),
    wearing: text(400).min(1).required(),
    trouble: oneOf('keep-on', 'take-off').required(),
  }),
});
