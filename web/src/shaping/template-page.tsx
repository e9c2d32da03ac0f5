import { bendTemplatePdf, bendTemplateSvg, type BendTemplate } from '@estribo/core/exchange';
import { barAfter, placeOn, targetOf, type BarState } from '@estribo/core/shaping';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useToday } from '../api/clinic';
import { useUnit } from '../browser/preferences';
import { useCase, type OpenCase } from '../case/use-case';
import { named, t } from '../messages';
import { bodyPartSide } from '../parts/body-part-side';
import { Button } from '../parts/button';
import { formatDate } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Paper } from '../parts/paper';
import { barName, halfDegrees, markOf, placeOnBar, wayWords } from './bar-words';
import { saidOfWork } from './bend-list';

const Drawn = styled.div`
  overflow: auto;
  background: #fff;
  & img {
    display: block;
  }
`;

/** The working list of a bar for the bench, and its template at 1:1. */
export default function TemplatePage() {
  const { caseId = '', part = '' } = useParams();
  const { open, missing, away } = useCase(caseId);
  if (missing) return <Notice tone="stop">{t('case.missing')}</Notice>;
  if (!open) return <Loading away={away} />;
  const bar = open.state.shaping.bars.find((one) => one.part.id === part);
  if (!bar?.contour)
    return (
      <Paper>
        <Notice tone="caution">{t('shaping.noContour')}</Notice>
        <Link to={`/cases/${caseId}/shape`}>{named('stages', 'shape')}</Link>
      </Paper>
    );
  return <Template open={open} bar={bar} />;
}

function Template({ open, bar }: { open: OpenCase; bar: BarState }) {
  const { state, person } = open;
  const [unit] = useUnit();
  const today = useToday();
  const title = [
    `${person ? `${person.givenName} ${person.familyName} · ` : ''}${bodyPartSide('bodyPart', state.side, state.programme.region)}`,
    `${state.model.name} · ${barName(state, bar.part.id)}`,
    t('shaping.templateOf', { date: formatDate(today) }),
  ];
  const template = templateOf(bar, title, unit);
  const svg = bendTemplateSvg(template);
  const name = `bend-template-${bar.part.id}`;
  const [failed, setFailed] = useState(false);
  const getPdf = () =>
    void bendTemplatePdf(template)
      .then((bytes) => download(new Blob([bytes as BlobPart], { type: 'application/pdf' }), `${name}.pdf`))
      .catch(() => setFailed(true));
  return (
    <Paper>
      <Stack>
        <Row data-screen style={{ justifyContent: 'space-between' }}>
          <Link to={`/cases/${state.case}/shape`}>{named('stages', 'shape')}</Link>
          <Row>
            <Button look="main" onPress={getPdf}>
              {t('shaping.templatePdf')}
            </Button>
            <Button onPress={() => download(new Blob([svg], { type: 'image/svg+xml' }), `${name}.svg`)}>
              {t('shaping.templateSvg')}
            </Button>
            <Button onPress={() => print()}>{t('sheet.print')}</Button>
          </Row>
        </Row>
        {failed && <Notice tone="stop">{t('shaping.pdfFailed')}</Notice>}
        <Stack $gap={2}>
          <h1>{t('shaping.workingListOf', { bar: barName(state, bar.part.id) })}</h1>
          {title.map((line) => (
            <Soft key={line}>{line}</Soft>
          ))}
        </Stack>
        {bar.plan ? (
          <table>
            <thead>
              <tr>
                <th scope="col">{t('shaping.columnMark')}</th>
                <th scope="col">{t('shaping.columnPlace')}</th>
                <th scope="col">{t('shaping.columnBend')}</th>
              </tr>
            </thead>
            <tbody>
              {bar.plan.work.map((work, i) => (
                <tr key={work.at}>
                  <th scope="row">{markOf(i)}</th>
                  <td>{placeOnBar(bar, work.at, unit)}</td>
                  <td>{saidOfWork(bar, work)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <Soft>{t('shaping.noPlanYet')}</Soft>
        )}
        <Notice tone="caution">{t('shaping.templateCheck')}</Notice>
        <Drawn data-screen tabIndex={0}>
          <img src={`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`} alt={t('shaping.template')} />
        </Drawn>
      </Stack>
    </Paper>
  );
}

/** What is drawn at its own size: the contour, the bar as it comes to it, the places of its bends. */
function templateOf(bar: BarState, title: readonly string[], unit: 'mm' | 'cm' | 'in'): BendTemplate {
  const contour = bar.contour!;
  const work = bar.plan?.work ?? [];
  const ahead = work.map(({ at, turn, done }) => ({ at, turn: turn - done }));
  const after = barAfter(bar, ahead);
  const target = targetOf(contour, bar.held);
  const places = contour.points.map(({ at }) => at);
  const [low, high] = [Math.min(...places), Math.max(...places)];
  const line = (of: (at: number) => number | undefined) =>
    Array.from({ length: Math.floor((high - low) / 2) + 1 }, (_, i) => low + i * 2).flatMap((at) => {
      const out = of(at);
      return out === undefined ? [] : [[out, at] as const];
    });
  return {
    title,
    lines: [
      { look: 'contour', points: line(target) },
      { look: 'now', points: bar.shape.map(([x, y]) => [y, x] as const) },
      { look: 'bar', points: after.map(([x, y]) => [y, x] as const) },
    ],
    marks: work.flatMap(({ at, turn }, i) => {
      const point = placeOn(after, at);
      return point
        ? [
            {
              at: [point[1], point[0]] as const,
              label: markOf(i),
              said: `${placeOnBar(bar, at, unit)}: ${halfDegrees(Math.abs(turn))} ${wayWords(bar, turn)}`,
            },
          ]
        : [];
    }),
    held: t(bar.byHand ? 'shaping.atTheMark' : 'shaping.atTheHinge'),
    check: '100 mm',
  };
}

function download(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = Object.assign(document.createElement('a'), { href: address, download: name });
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
