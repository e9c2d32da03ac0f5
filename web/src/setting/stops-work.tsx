import { stands } from '@estribo/core/record';
import type { CaseState } from '@estribo/core/logbook';
import { phaseInForce } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import {
  placesAlong,
  stopsAt,
  valuesOfStops,
  type HingeStops,
  cameWithIt,
  decideSetting,
  madeIn,
  workingList,
  wouldGive,
  type StopsSetting,
} from '@estribo/core/setting';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Sheet, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { degrees, formatAngle, formatStops } from '../parts/format';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';
import { BenchList, installedIn } from './bench-list';
import type { SettingStage } from './kinds/piece';
import { useMade } from './use-made';

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 12px;
`;

const Value = styled.p`
  display: flex;
  gap: 8px;
  align-items: baseline;
  flex-wrap: wrap;
  & b {
    font-size: ${size.title};
  }
  & span {
    color: ${color('soft')};
    margin-right: 10px;
  }
`;

/** The phase of the order that holds today, by its place in it. */
const phaseInForceOf = ({ order }: CaseState, today: string): number | undefined =>
  order && phaseInForce(order.order, today)?.index;

/**
 * Stops chosen and put in: one pair, medial and lateral alike. Choosing is an intent; what was put in is a
 * fact, read off the engraving. Somebody whose work it is not records what is in, as found.
 */
export function StopsWork({ stage, setting }: { stage: SettingStage; setting: StopsSetting }) {
  const { state, today, write } = useWork();
  const may = useMay(stage);
  const record = useMade(setting, stage);
  const { chosen, fitted } = state.setting;
  const phase = phaseInForceOf(state, today);
  const [acknowledged, acknowledge] = useDraft(`${state.case}-stops-acknowledged-${phase}`, false);
  const [needs, setNeeds] = useState(false);
  const [differs, setDiffers] = useDraft(`${state.case}-stops-differ`, false);
  const [saving, save] = useSaving();
  const hardware = state.model.hinge?.kind ?? 'wedges';
  // off unless somebody chooses it: soft tissue gives, and the joint goes further than the hinge
  const [buffered, buffer] = useDraft(`${state.case}-stops-buffer-${phase}`, false);
  const gives = buffered ? state.model.hinge?.gives : undefined;
  const offered = decideSetting(state, setting.id, today, acknowledged, gives);
  const isChosen = chosen !== undefined && chosen.decided.phase === phase && stands(chosen);
  const stops: HingeStops | undefined = isChosen
    ? chosen.decided.medial
    : offered && stopsAt(madeIn(offered), placesAlong(setting.axes)[0]!);
  const fit = (inHinges: Record<string, HingeStops>) =>
    save(() => record({ values: valuesOfStops(inHinges) }, { moved: true }).then(() => setDiffers(false)));
  const hinges = placesAlong(setting.axes);
  const alike = (one: HingeStops) => Object.fromEntries(hinges.map((hinge) => [hinge, one]));
  // what is in, hinge by hinge: of one hinge alone the other half of a pair is not asked for
  const fittedIn =
    fitted && Object.fromEntries(hinges.map((hinge, i) => [hinge, i === 0 ? fitted.medial : fitted.lateral]));
  if (!may('setting.write'))
    return (
      <Stack $gap={12}>
        <Notice tone="caution">{t('setting.onlyOrthotist')}</Notice>
        {may('strapping.write') &&
          (differs ? (
            <FoundStops
              hinges={hinges}
              start={fitted?.medial ?? stops ?? { extension: setting.leastExtension, flexion: null }}
              saving={saving}
              onTake={(found) => void fit(found)}
              onCancel={() => setDiffers(false)}
            />
          ) : (
            <Row>
              <Button look="quiet" onPress={() => setDiffers(true)}>
                {t('setting.recordFound')}
              </Button>
            </Row>
          ))}
      </Stack>
    );
  const bufferTick = state.model.hinge?.gives !== undefined && !isChosen && may('setting.write') && (
    <Tick isSelected={buffered} onChange={buffer}>
      {t('setting.buffer', { degrees: state.model.hinge.gives })}
    </Tick>
  );
  if (!stops) return bufferTick || null;
  const isFitted =
    isChosen && fitted !== undefined && fitted.phase === phase && state.setting.look.length === 0;
  const { lost, ordered = {} } = isChosen ? chosen.decided : offered!;
  const would = wouldGive(ordered, lost);
  const came = fitted ? [] : cameWithIt(state.model.hinge ?? {}, stops);
  const inNow = fittedIn ?? installedIn(state.model.hinge, hinges);
  const bench = workingList(hinges, inNow, stops, state.model.hinge ?? {});
  const loses = lost.extension > 0 || lost.flexion > 0;

  const choose = () => {
    if (loses && !acknowledged) return setNeeds(true);
    void save(() => write('set.chosen', stage, offered!));
  };

  return (
    <Stack $gap={12}>
      <Pair>
        {(['extension', 'flexion'] as const).map((end) => (
          <Sheet key={end} $pad={12}>
            <p style={{ color: color('soft'), fontSize: size.small }}>{t(`setting.${end}Stop`)}</p>
            <Value>
              {hinges.map((hinge) => {
                const value = (isFitted ? fittedIn![hinge]! : stops)[end];
                return (
                  <span key={hinge} style={{ display: 'inline-flex', gap: 6, alignItems: 'baseline' }}>
                    <b style={{ color: color('ink') }}>
                      {value === null ? t('setting.none') : degrees(value)}
                    </b>{' '}
                    {named('settingPlace', hinge)}
                  </span>
                );
              })}
            </Value>
          </Sheet>
        ))}
      </Pair>
      {loses && (
        <Notice tone="caution">
          <Stack $gap={4}>
            <span>
              {lost.extension > 0 && t('setting.lostExtension', { degrees: lost.extension })}{' '}
              {lost.flexion > 0 && t('setting.lostFlexion', { degrees: lost.flexion })}{' '}
              {would
                .map(({ end, piece }) =>
                  t('setting.wouldGive', { end: t(`setting.stopInside.${end}`), piece }),
                )
                .join(' ')}{' '}
              {t('setting.tellPrescriber')}
            </span>
            {!isChosen && (
              <Tick isSelected={acknowledged} onChange={acknowledge} isInvalid={needs && !acknowledged}>
                {t('setting.acknowledge')}
              </Tick>
            )}
            {needs && !acknowledged && (
              <b style={{ color: color('madder') }}>{t('setting.acknowledgeFirst')}</b>
            )}
          </Stack>
        </Notice>
      )}
      {stops.extension === stops.flexion && (
        <Notice tone="caution">{t('setting.locked', { degrees: stops.extension })}</Notice>
      )}
      {came.map(({ end, piece }) => (
        <Notice key={end} tone="caution">
          {t('setting.cameWithIt', { end: t(`setting.stopInside.${end}`), piece })}
        </Notice>
      ))}
      {bufferTick}
      {!isChosen && (
        <Row>
          <Button look="main" onPress={choose} isDisabled={saving}>
            {t('setting.choose', { stops: formatStops(stops) })}
          </Button>
          <span style={{ flex: 1, minWidth: 200, fontSize: size.small }}>
            {t(`setting.caution.${hardware}`)}
          </span>
        </Row>
      )}
      {isChosen && !isFitted && !differs && (
        <>
          <Notice tone="caution">{t(`setting.fitHow.${hardware}`)}</Notice>
          <BenchList steps={bench} />
          <Row>
            <Button look="main" onPress={() => void fit(alike(stops))} isDisabled={saving}>
              {t('setting.fitted', { stops: formatStops(stops) })}
            </Button>
            <Button onPress={() => setDiffers(true)}>{t('setting.somethingElse')}</Button>
          </Row>
        </>
      )}
      {isChosen && !isFitted && differs && (
        <FoundStops
          hinges={hinges}
          start={stops}
          saving={saving}
          onTake={(found) => void fit(found)}
          onCancel={() => setDiffers(false)}
        />
      )}
      {isFitted && (
        <Row>
          <Notice tone="good">{t('setting.isFitted', { stops: formatStops(fitted.medial) })}</Notice>
          <Button look="quiet" onPress={() => setDiffers(true)}>
            {t('setting.foundElse')}
          </Button>
        </Row>
      )}
      {isFitted && differs && (
        <FoundStops
          hinges={hinges}
          start={fitted.medial}
          saving={saving}
          onTake={(found) => void fit(found)}
          onCancel={() => setDiffers(false)}
        />
      )}
    </Stack>
  );
}

/** What is really in the hinges, piece by piece: a fact, taken even when it is wrong. */
function FoundStops({
  hinges,
  start,
  saving,
  onTake,
  onCancel,
}: {
  hinges: readonly string[];
  start: HingeStops;
  saving: boolean;
  onTake: (found: Record<string, HingeStops>) => void;
  onCancel: () => void;
}) {
  const { state } = useWork();
  const alike = Object.fromEntries(hinges.map((hinge) => [hinge, start]));
  const [found, setFound] = useDraft<Record<string, HingeStops>>(`${state.case}-found-stops`, alike);
  const { hinge } = state.model;
  if (!hinge) return null;
  // beyond straight has its name, and no bare sign
  const limited = limitedMotion(state.programme);
  const said = (piece: number) => (piece < 0 ? formatAngle(limited, piece) : degrees(piece));
  return (
    <Sheet>
      <Stack $gap={10}>
        <h3>{t('setting.whatIsIn')}</h3>
        {hinges.map((side) => (
          <Row key={side} $align="flex-end">
            <Choice
              label={`${t('setting.extensionStop')}, ${named('settingPlace', side)}`}
              options={hinge.extension.map((piece) => ({ value: String(piece), label: said(piece) }))}
              value={String(found[side]!.extension)}
              onChange={(value) =>
                setFound({ ...found, [side]: { ...found[side]!, extension: Number(value) } })
              }
            />
            <Choice
              label={`${t('setting.flexionStop')}, ${named('settingPlace', side)}`}
              options={[
                ...hinge.flexion.map((piece) => ({ value: String(piece), label: said(piece) })),
                { value: 'none', label: t('setting.none') },
              ]}
              value={found[side]!.flexion === null ? 'none' : String(found[side]!.flexion)}
              onChange={(value) =>
                setFound({
                  ...found,
                  [side]: { ...found[side]!, flexion: value === 'none' ? null : Number(value) },
                })
              }
            />
          </Row>
        ))}
        <Row>
          <Button
            look="main"
            isDisabled={saving}
            onPress={() => {
              setFound(alike);
              onTake(found);
            }}
          >
            {t('setting.takeFound')}
          </Button>
          <Button look="quiet" onPress={onCancel}>
            {t('common.cancel')}
          </Button>
        </Row>
      </Stack>
    </Sheet>
  );
}
