import { operationsOf, programmes } from '@estribo/core/programmes';
import { operationWords, partName } from './fitting';

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s has a name for every part and every work on it',
  (_, programme) => {
    expect(programme.parts.filter(({ id }) => partName(programme, id) === id)).toEqual([]);
    expect(
      (programme.operations ? operationsOf(programme) : []).filter(
        ({ id }) => operationWords(programme, id).name === id,
      ),
    ).toEqual([]);
  },
);
