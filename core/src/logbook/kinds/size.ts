import { body, finite, ids, name, oneOf, text, whole } from '../fields';
import { kind } from './kind';

export const sizeChosen = kind('size.chosen', {
  nature: 'decision',
  stages: ['size'],
  permission: 'sizing.write',
  body: body({
    /** absent when made to measure */
    size: text(20),
    rule: oneOf(
      'inside',
      'between-larger',
      'between-smaller',
      'between-nearer',
      'between-ask',
      'disagree-primary',
      'disagree-larger',
      'disagree-made-to-measure',
      'apart',
      'outside',
    ).required(),
    /** what the chart gave, when another size was chosen */
    computed: text(20),
    probability: finite().min(0).max(1).required(),
    margin: finite().required(),
    decides: name().required(),
    chart: whole().positive().required(),
    /** why another size than the computed one */
    reason: text(400).min(3),
    madeFrom: ids(),
    programme: text(64).required(),
    engine: whole().positive().required(),
  }),
});
