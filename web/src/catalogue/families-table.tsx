import type { StageCover } from '@estribo/core/logbook';
import { stages } from '@estribo/core/record';
import { Copy } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { useCatalogue } from '../api/clinic';
import { color, size } from '../look/tokens';
import { named, programmeTitle, t } from '../messages';
import { RuledTable, Small } from '../parts/layout';

const Table = styled(RuledTable)`
  width: 100%;
  & th {
    font-size: ${size.small};
    font-weight: 400;
    color: ${color('soft')};
  }
  & tbody th {
    font-size: ${size.text};
    color: ${color('ink')};
  }
  & td {
    height: 44px;
  }
`;

/** How a stage is carried, told by form: a filled hole, a ring, a slit, a cross. */
function Cover({ cover, stage }: { cover: StageCover; stage: string }) {
  const said = `${stage}: ${t(`catalogue.cover.${cover}`)}`;
  return (
    <svg width="22" height="22" viewBox="0 0 22 22" role="img" aria-label={said}>
      <title>{said}</title>
      {cover === 'covered' && <circle cx="11" cy="11" r="6" fill={color('moss')} />}
      {cover === 'by-case' && (
        <circle cx="11" cy="11" r="5" fill="none" stroke={color('moss')} strokeWidth="2.500" />
      )}
      {cover === 'not-needed' && <path d="M5 11H17" stroke={color('soft')} strokeWidth="2.500" />}
      {cover === 'not-covered' && (
        <path d="M6 6l10 10M16 6L6 16" stroke={color('madder')} strokeWidth="2.500" />
      )}
    </svg>
  );
}

/** Families as the catalogue lists them. */
export type ListedFamilies = NonNullable<ReturnType<typeof useCatalogue>['data']>['families'];

/** The families with the stages each carries, how many models there are, and a copy to change. */
export function FamiliesTable({
  families,
  all,
  mayWrite,
}: {
  families: ListedFamilies;
  /** among which a base is found */
  all: ListedFamilies;
  mayWrite: boolean;
}) {
  const titleOf = (id: string) => {
    const family = all.find((one) => one.id === id);
    return family ? programmeTitle(family) : id;
  };
  return (
    <>
      <Table>
        <thead>
          <tr>
            <th scope="col">{t('catalogue.family')}</th>
            <th scope="col">{t('catalogue.modelsOf')}</th>
            {stages.map((stage) => (
              <th key={stage} scope="col">
                {named('stages', stage)}
              </th>
            ))}
            {mayWrite && <th scope="col" aria-label={t('catalogue.copy')} />}
          </tr>
        </thead>
        <tbody>
          {families.map((family) => (
            <tr key={family.hash}>
              <th scope="row">
                {programmeTitle(family)}{' '}
                {family.base && <Small>{t('catalogue.ownFrom', { base: titleOf(family.base) })}</Small>}
              </th>
              <td>{family.models}</td>
              {stages.map((stage) => (
                <td key={stage}>
                  <Cover cover={family.stages[stage]} stage={named('stages', stage)} />
                </td>
              ))}
              {mayWrite && (
                <td>
                  <Link
                    to={`/catalogue/families/${family.hash}`}
                    aria-label={t(family.base ? 'catalogue.changeFamily' : 'catalogue.copyFamily', {
                      family: programmeTitle(family),
                    })}
                  >
                    <Copy size={16} aria-hidden /> {t(family.base ? 'catalogue.change' : 'catalogue.copy')}
                  </Link>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </Table>
      <Small>{t('catalogue.coverLegend')}</Small>
    </>
  );
}
