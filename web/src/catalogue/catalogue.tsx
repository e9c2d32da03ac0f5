import { may } from '@estribo/core/access';
import { regionNames, type Region } from '@estribo/core/anatomy';
import { flexRender, getCoreRowModel, useReactTable, createColumnHelper } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Copy, Download, Upload } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { ListedModel } from '@estribo/core/answers';
import { modelsAddress, useCatalogue, useModels, useUser } from '../api/clinic';
import { color, narrow, size } from '../look/tokens';
import { named, programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Tick } from '../parts/tick';
import { ImportCharts } from './import-charts';

const Scroll = styled.div`
  max-height: calc(100vh - 330px);
  min-height: 220px;
  overflow: auto;
  border: 1px solid ${color('line')};
  border-radius: 4px;
  background: ${color('sheet')};
`;

const Grid = styled.div`
  & [role='row'] {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 1.2fr) minmax(0, 2fr) 60px 64px minmax(90px, 130px);
    overflow-wrap: anywhere;
    gap: 12px;
    align-items: center;
    padding: 0 16px;
    min-height: 48px;
    border-bottom: 1px solid ${color('line')};
  }
  & [role='columnheader'] {
    font-size: ${size.small};
    color: ${color('soft')};
  }
  ${narrow} {
    & [role='row'] {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 2px 10px;
      padding: 4px 10px;
    }
    /* read out, not seen: the cells say by themselves what they are */
    & [role='row']:has([role='columnheader']) {
      position: absolute;
      clip-path: inset(50%);
    }
  }
  & a {
    font-weight: 700;
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
`;

const Families = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: 4px 24px;
  & > li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
    min-height: 44px;
    border-bottom: 1px solid ${color('line')};
  }
`;

const columns = createColumnHelper<ListedModel & { family: string }>();

const shown = [
  columns.accessor('name', {
    header: () => t('catalogue.name'),
    cell: ({ row: { original } }) => <Link to={`/catalogue/${original.id}`}>{original.name}</Link>,
  }),
  columns.accessor('maker', { header: () => t('catalogue.maker') }),
  columns.accessor('family', { header: () => t('catalogue.family') }),
  columns.accessor('sizes', { header: () => t('catalogue.sizes') }),
  columns.accessor('version', { header: () => t('catalogue.version') }),
  columns.accessor('findings', {
    header: () => t('catalogue.state'),
    cell: ({ row: { original } }) => (
      <span
        style={{
          color: original.findings > 0 ? color('ochre') : color('soft'),
          fontWeight: original.findings > 0 ? 700 : 400,
        }}
      >
        {[
          original.findings > 0 ? t('catalogue.findings', { count: original.findings }) : '',
          original.retired ? t('catalogue.retired') : '',
          original.invented ? t('common.invented') : '',
        ]
          .filter(Boolean)
          .join(', ')}
      </span>
    ),
  }),
];

export default function Catalogue() {
  const user = useUser();
  const families = useCatalogue();
  const [region, setRegion] = useState<Region | 'all'>('all');
  const [find, setFind] = useState('');
  const [retired, setRetired] = useState(false);
  const [importing, setImporting] = useState(false);
  const wanted = {
    region: region === 'all' ? '' : region,
    find: useDeferredValue(find.trim()),
    retired,
  };
  const mayRead = may(user.role, 'catalogue.read');
  const found = useModels(wanted, mayRead);
  if (!mayRead)
    return (
      <Page>
        <h1>{t('nav.catalogue')}</h1>
        <Soft>{t('common.notYourRole')}</Soft>
      </Page>
    );
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
        <Models
          rows={rows.map((row) => ({ ...row, family: titleOf(row.programme) }))}
          more={found.hasNextPage}
          onMore={() => void found.fetchNextPage()}
        />
      )}
      <Sheet>
        <Stack $gap={8}>
          <h2>{t('catalogue.families')}</h2>
          <Small>{t('catalogue.familiesHow')}</Small>
          <Families>
            {families.data.families
              .filter((family) => region === 'all' || family.region === region)
              .map((family) => (
                <li key={family.hash}>
                  <span>
                    {programmeTitle(family)}{' '}
                    {family.base && <Small>{t('catalogue.ownFrom', { base: titleOf(family.base) })}</Small>}
                  </span>
                  {mayWrite && (
                    <Link
                      to={`/catalogue/families/${family.hash}`}
                      aria-label={t(family.base ? 'catalogue.changeFamily' : 'catalogue.copyFamily', {
                        family: programmeTitle(family),
                      })}
                    >
                      <Copy size={16} aria-hidden /> {t(family.base ? 'catalogue.change' : 'catalogue.copy')}
                    </Link>
                  )}
                </li>
              ))}
          </Families>
        </Stack>
      </Sheet>
      {importing && <ImportCharts onClose={() => setImporting(false)} />}
    </Page>
  );
}

/** The list, drawn only where it is looked at; more is fetched when its end comes near. */
function Models({
  rows,
  more,
  onMore,
}: {
  rows: (ListedModel & { family: string })[];
  more: boolean;
  onMore: () => void;
}) {
  const data = useMemo(() => rows, [rows]);
  // what the table answers with must not be kept between renders, and nothing here keeps it
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({ data, columns: shown, getCoreRowModel: getCoreRowModel() });
  const scroll = useRef<HTMLDivElement>(null);
  const all = table.getRowModel().rows;
  const virtual = useVirtualizer({
    count: all.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => 48,
    overscan: 8,
    initialRect: { width: 1200, height: 480 },
  });
  const items = virtual.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;
  useEffect(() => {
    if (more && last > all.length - 20) onMore();
  }, [more, last, all.length, onMore]);
  return (
    <Scroll ref={scroll} tabIndex={0} role="region" aria-label={t('catalogue.models')}>
      <Grid role="table" aria-rowcount={all.length + 1} aria-label={t('catalogue.models')}>
        <div role="rowgroup">
          {table.getHeaderGroups().map((group) => (
            <div role="row" key={group.id}>
              {group.headers.map((header) => (
                <span role="columnheader" key={header.id}>
                  {flexRender(header.column.columnDef.header, header.getContext())}
                </span>
              ))}
            </div>
          ))}
        </div>
        <div role="rowgroup" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {items.map(({ index, start }) => {
            const row = all[index]!;
            return (
              <div
                role="row"
                key={row.id}
                // a row is as high as its words need
                ref={virtual.measureElement}
                data-index={index}
                aria-rowindex={index + 2}
                style={{ position: 'absolute', top: start, left: 0, right: 0 }}
              >
                {row.getVisibleCells().map((cell) => (
                  <span role="cell" key={cell.id}>
                    {flexRender(cell.column.columnDef.cell, cell.getContext())}
                  </span>
                ))}
              </div>
            );
          })}
        </div>
      </Grid>
    </Scroll>
  );
}
