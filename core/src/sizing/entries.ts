import { heightNames } from '../order';
import { sizeRules } from './match';
import { body, finite, ids, name, oneOf, text, whole, kind } from '../record';

/** A belt's side extension was called as an end of motion is. */
const withSideExtension = ({ extension, rule, ...rest }: { extension?: number; rule: string }) => ({
  ...rest,
  rule: rule === 'extension' ? 'side-extension' : rule,
  ...(extension === undefined ? {} : { sideExtension: extension }),
});

export const sizeChosen = {
  ...kind('size.chosen', {
    nature: 'decision',
    stages: ['size'],
    permission: 'sizing.write',
    body: body({
      /** absent when made to measure */
      size: text(20),
      rule: oneOf(...sizeRules).required(),
      /** what the chart gave, when another size was chosen */
      computed: text(20),
      probability: finite().min(0).max(1).required(),
      /** to the next size, and by which reading; absent for a brace of one size */
      margin: finite(),
      decides: name(),
      chart: whole().positive().required(),
      /** the height, for a size that comes in more than one, and why this one */
      height: oneOf(...heightNames),
      heightReason: text(400).min(3),
      /** the extension on each side of a belt, mm */
      sideExtension: finite().min(0).max(500),
      /** why another size than the computed one */
      reason: text(400).min(3),
      madeFrom: ids(),
      programme: text(64).required(),
      engine: whole().positive().required(),
    }),
  }),
  v: 2,
  upcasters: [withSideExtension],
};
