import type { BraceModel } from '@estribo/core/programmes';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { contentQuery, useModels } from '../api/clinic';
import { useDraft } from '../api/draft';
import { call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import type { ListedFamilies } from './families-table';

const empty = { family: '', like: '', name: '', maker: '' };

/** An id that a new model is registered under: its name in small letters, and something of its own. */
const idFor = (name: string): string =>
  `${name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50)}-${v7().slice(-8)}`.replace(/^-/, '');

/** A model more: it begins with the parts and numbers of one of its family, which are then changed to its own. */
export function AddModel({ families, onClose }: { families: ListedFamilies; onClose: () => void }) {
  const navigate = useNavigate();
  const [draft, setDraft] = useDraft('new-model', empty);
  const [problem, setProblem] = useState<string>();
  const own = families.filter(({ base }) => base === undefined);
  const listed = useModels({ family: draft.family }, draft.family !== '');
  const models = draft.family === '' ? [] : (listed.data?.pages.flatMap((page) => page.models) ?? []);
  const like = models.find(({ hash }) => hash === draft.like) ?? models[0];
  const model = useQuery(contentQuery<BraceModel>('model', like?.hash)).data;
  const add = useMutation({
    mutationFn: async (from: BraceModel) => {
      const id = idFor(draft.name);
      await call('POST', '/catalogue/models', {
        ...from,
        id,
        version: 1,
        name: draft.name.trim(),
        maker: draft.maker.trim(),
        // numbers of another model stand in it until they are confirmed
        invented: true,
        chart: { ...from.chart, version: 1 },
      });
      return id;
    },
    onSuccess: async (id) => {
      setDraft(empty);
      await queries.invalidateQueries({ queryKey: ['models'] });
      await navigate(`/catalogue/${id}`);
    },
    onError: (error) => setProblem(Object.values(formProblems(error, t('catalogue.notSaved'))).join(' ')),
  });
  const save = () => {
    if (draft.name.trim() === '' || draft.maker.trim() === '' || !model)
      return setProblem(t('catalogue.addNeeds'));
    setProblem(undefined);
    add.mutate(model);
  };
  return (
    <Dialog title={t('catalogue.add')} onClose={onClose}>
      <Soft>{t('catalogue.addHow')}</Soft>
      <Pick
        label={t('catalogue.family')}
        options={own.map((family) => ({ value: family.id, label: programmeTitle(family) }))}
        value={draft.family}
        onChange={(family) => setDraft({ ...draft, family, like: '' })}
      />
      {models.length > 0 && (
        <Pick
          label={t('catalogue.like')}
          options={models.map(({ hash, name, maker }) => ({ value: hash, label: `${name}, ${maker}` }))}
          value={like?.hash ?? ''}
          onChange={(hash) => setDraft({ ...draft, like: hash })}
        />
      )}
      {draft.family !== '' && listed.data && models.length === 0 && (
        <Notice tone="caution">{t('catalogue.noneLike')}</Notice>
      )}
      <Field
        label={t('catalogue.name')}
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
        maxLength={80}
      />
      <Field
        label={t('catalogue.maker')}
        value={draft.maker}
        onChange={(maker) => setDraft({ ...draft, maker })}
        maxLength={80}
      />
      {problem && (
        <Notice tone="stop" live>
          {problem}
        </Notice>
      )}
      <Row>
        <Button look="main" onPress={save} isDisabled={add.isPending}>
          {t('catalogue.add')}
        </Button>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
