import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { RankedModel } from '@estribo/core/answers';
import { useBestFit } from '../api/clinic';
import { color } from '../look/tokens';
import { useWork } from '../case/case-context';
import { named, programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Loading } from '../parts/loading';
import { Row, Small, Soft, Stack } from '../parts/layout';
import { Tick } from '../parts/tick';
import { percent } from '../parts/format';
import { marginOf, saidOfMargin } from './size-answer';

const List = styled.ol`
  max-height: 420px;
  overflow: auto;
  & > li {
    display: grid;
    grid-template-columns: 56px minmax(0, 1fr) max-content;
    gap: 2px 14px;
    padding: 8px 4px;
    border-bottom: 1px solid ${color('line')};
    align-items: baseline;
  }
  & b {
    font-size: 18px;
  }
`;

/** All models this body could wear, ranked; those out of range say why. */
export function BestFit() {
  const { state, unit } = useWork();
  const [open, setOpen] = useState(false);
  const [sisters, setSisters] = useState(false);
  const fits = useBestFit(state.case, state.seq, sisters, open);
  if (!open)
    return (
      <Button look="quiet" onPress={() => setOpen(true)}>
        {t('sizing.bestFit')}
      </Button>
    );
  const why = ({ match, missing }: RankedModel): string => {
    if (match.outcome === 'incomplete')
      return t('sizing.missingReadings', { readings: missing.map((id) => named('steps', id)).join(', ') });
    const next = marginOf(match);
    const said =
      next && next.margin < 0
        ? saidOfMargin(state, match, next, unit)
        : t(`rules.${match.rule}`, { against: match.against ?? '', size: match.size ?? '' });
    return match.outcome === 'made-to-measure' ? t('sizing.outOfRange', { why: said }) : said;
  };
  return (
    <Stack $gap={8}>
      <Row style={{ justifyContent: 'space-between' }}>
        <div>
          <h2>{t('sizing.bestFit')}</h2>
          <Soft>{t('sizing.bestFitHow')}</Soft>
        </div>
        <Tick isSelected={sisters} onChange={setSisters}>
          {t('sizing.sisters')}
        </Tick>
      </Row>
      {!fits.data ? (
        <Loading away={fits.isError} />
      ) : fits.data.fits.length === 0 ? (
        <Soft>{t('sizing.noModels')}</Soft>
      ) : (
        <List tabIndex={0} aria-label={t('sizing.bestFit')}>
          {fits.data.fits.map((fit) => (
            <li key={fit.model.hash}>
              <b>{fit.match.outcome === 'size' || fit.match.outcome === 'ask' ? fit.match.size : '–'}</b>
              <div>
                {fit.model.name}, {fit.model.maker}{' '}
                <Small>
                  {programmeTitle(fit.family)}
                  {fit.model.hash === state.modelPin.hash ? ` · ${t('sizing.thisModel')}` : ''}
                  {fit.estimated ? ` · ${t('sizing.estimatedReadings')}` : ''}
                </Small>
                <br />
                <Small>{why(fit)}</Small>
              </div>
              <span>
                {fit.match.outcome !== 'incomplete' && fit.match.outcome !== 'made-to-measure'
                  ? percent(fit.match.probability)
                  : ''}
              </span>
            </li>
          ))}
        </List>
      )}
      <Small>
        <Link to={`/cases/new?person=${state.person}`}>{t('sizing.chooseModel')}</Link>
      </Small>
    </Stack>
  );
}
