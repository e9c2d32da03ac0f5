import { may } from '@estribo/core/access';
import { regionNames, type Region } from '@estribo/core/anatomy';
import { Download, Plus, Upload } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { modelsAddress, useCatalogue, useModels, useUser } from '../api/clinic';
import { named, programmeTitle, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Tick } from '../parts/tick';
import { AddModel } from './add-model';
import { FamiliesTable } from './families-table';
import { ImportCharts } from './import-charts';
import { ModelTable } from './model-table';

export default function Catalogue() {
  const user = useUser();
  const families = useCatalogue();
  const [region, setRegion] = useState<Region | 'all'>('all');
  const [find, setFind] = useState('');
  const [retired, setRetired] = useState(false);
  const [importing, setImporting] = useState(false);
  const [adding, setAdding] = useState(false);
  const wanted = {
    region: region === 'all' ? '' : region,
    find: useDeferredValue(find.trim()),
    retired,
  };
  const mayRead = may(user.role, 'catalogue.read');
  const found = useModels(wanted, mayRead);
  if (!mayRead) return <LeadTo to="/bench" />;
  if (!families.data) return <Loading away={families.isError} />;
  const mayWrite = may(user.role, 'catalogue.write');
  const titleOf = (id: string) => {
    const family = families.data.families.find((one) => one.id === id);
    return family ? programmeTitle(family) : id;
  };
  const rows = found.data?.pages.flatMap(({ models }) => models) ?? [];
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }} $align="flex-end">
        <h1>{t('nav.catalogue')}</h1>
        <Row>
          <a href={`/api/catalogue/export.csv?${modelsAddress(wanted)}`} download>
            <Download size={16} aria-hidden /> {t('catalogue.export')}
          </a>
          {mayWrite && (
            <Button look="main" onPress={() => setAdding(true)}>
              <Plus size={16} aria-hidden /> {t('catalogue.add')}
            </Button>
          )}
          {mayWrite && (
            <Button onPress={() => setImporting(true)}>
              <Upload size={16} aria-hidden /> {t('catalogue.import')}
            </Button>
          )}
        </Row>
      </Row>
      <Row $align="flex-end" $gap={20}>
        <Choice
          label={t('cases.region')}
          options={[
            { value: 'all' as const, label: t('catalogue.all') },
            ...regionNames.map((value) => ({ value, label: named('regions', value) })),
          ]}
          value={region}
          onChange={setRegion}
        />
        <div style={{ flex: 1, minWidth: 200 }}>
          <Field
            label={t('catalogue.find')}
            value={find}
            onChange={setFind}
            type="search"
            placeholder={t('catalogue.findExample')}
            maxLength={80}
          />
        </div>
        <Tick isSelected={retired} onChange={setRetired}>
          {t('catalogue.showRetired')}
        </Tick>
      </Row>
      {!found.data ? (
        <Loading away={found.isError} />
      ) : rows.length === 0 ? (
        <Soft role="status">{t('catalogue.none')}</Soft>
      ) : (
        <ModelTable
          rows={rows.map((row) => ({ ...row, family: titleOf(row.programme) }))}
          more={found.hasNextPage}
          onMore={() => void found.fetchNextPage()}
        />
      )}
      <Sheet>
        <Stack $gap={8}>
          <h2>{t('catalogue.families')}</h2>
          <Small>{t('catalogue.familiesHow')}</Small>
          <FamiliesTable
            families={families.data.families.filter((family) => region === 'all' || family.region === region)}
            all={families.data.families}
            mayWrite={mayWrite}
          />
        </Stack>
      </Sheet>
      {adding && <AddModel families={families.data.families} onClose={() => setAdding(false)} />}
      {importing && <ImportCharts onClose={() => setImporting(false)} />}
    </Page>
  );
}
