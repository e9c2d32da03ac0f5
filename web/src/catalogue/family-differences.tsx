import {
  familyDifferences,
  isBeforeSafetyChange,
  type FamilyDifference,
  type Programme,
} from '@estribo/core/programmes';
import { named, t } from '../messages';
import { checkName, listName, operationWords, partName, settingWords } from '../messages/fitting';
import { Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';

const keyOf = ({ list, id, field }: FamilyDifference): string => (list ? `${list} ${id}` : `field ${field}`);

/** What a difference is of, in the words of the family. */
function whatOf(family: Programme, { list, id, field }: FamilyDifference): string {
  if (list === undefined) return t(`catalogue.familyFields.${field}`);
  const name = {
    measuring: () => named('steps', id),
    settings: () => settingWords(family, id).name,
    operations: () => operationWords(family, id).name,
    parts: () => partName(family, id),
    sequences: () => listName(family, id),
    checks: () => checkName(id),
  }[list]();
  return `${t(`catalogue.familyLists.${list}`)}: ${name}`;
}

/**
 * In what a clinic's own copy differs from its family as it is today, each to be taken over or left. After a safety change of
 * the family nothing is signed by the copy until somebody has held it against that.
 */
export function FamilyDifferences({
  own,
  base,
  chosen,
  onChange,
}: {
  own: Programme;
  base: Programme;
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}) {
  const differences = familyDifferences(own, base);
  const isBehind = isBeforeSafetyChange(own, base);
  if (differences.length === 0 && !isBehind) return null;
  return (
    <Stack $gap={8}>
      <h2>{t('catalogue.differences')}</h2>
      {isBehind && <Notice tone="stop">{t('catalogue.copyBehind', { version: base.version })}</Notice>}
      <Soft>{t('catalogue.differencesHow')}</Soft>
      {differences.map((one) => (
        <Tick
          key={keyOf(one)}
          isSelected={chosen.includes(keyOf(one))}
          onChange={(is) =>
            onChange(is ? [...chosen, keyOf(one)] : chosen.filter((key) => key !== keyOf(one)))
          }
        >
          {whatOf(one.is === 'own' ? own : base, one)} ({t(`catalogue.difference.${one.is}`)})
        </Tick>
      ))}
    </Stack>
  );
}

/** The differences that were ticked. */
export const chosenDifferences = (
  own: Programme,
  base: Programme,
  chosen: readonly string[],
): FamilyDifference[] => familyDifferences(own, base).filter((one) => chosen.includes(keyOf(one)));
