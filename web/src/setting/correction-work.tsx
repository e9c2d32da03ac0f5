import type { LedgerLine } from '@estribo/core/setting';
import {
  asNumber,
  comforts,
  formatTurn,
  mostNow,
  reachOf,
  turnFault,
  wasTooMuch,
  noTurn,
  opposite,
  placesOf,
  readTurn,
  sumOfTurns,
  type Setting,
  type Turn,
} from '@estribo/core/setting';
import { compartmentOf, type Compartment } from '@estribo/core/order';
import { useContext, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useMay, useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { useDraft } from '../api/draft';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDay } from '../parts/format';
import { Choice } from '../parts/choice';
import { useReason } from '../parts/use-reason';
import { useSaving } from '../parts/use-saving';
import type { PieceProps } from './kinds/piece';
import { HandOver } from './hand-over';
import { OnItsWay, Screw } from './screw';
import { ReasonDialog } from '../parts/reason-dialog';
import { ThreePointEstimate } from './three-point-estimate';
import { ToldByPatient, useMade } from './use-made';

type Correction = Extract<Setting, { kind: 'correction' }>;

const List = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: ${size.small};
  & li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    padding: 4px 0;
    border-bottom: 1px solid ${color('line')};
  }
  & b {
    font-variant-numeric: tabular-nums;
  }
`;

/** A turn with its unit, where the unit is no turn. */
const saidTurn = ({ unit }: Correction, turn: Turn): string =>
  `${formatTurn(turn)}${unit === 'turns' ? '' : unit === 'degrees' ? '°' : ` ${t(`setting.unit.${unit}`)}`}`;

const plain = (turn: Turn): string => formatTurn(turn).replace(/^[+−]/, '');

/**
 * A correction as a ledger of turns: where it stands, how it came there, the next change within what is allowed, a change back in
 * one touch, and how it was felt after the walk.
 */
export function CorrectionWork({ setting, words, stage }: PieceProps<Correction>) {
  const { state, write } = useWork();
  const may = useMay(stage);
  const told = useContext(ToldByPatient);
  const record = useMade(setting, stage);
  const [saving, save] = useSaving();
  const places = placesOf(setting);
  const one = state.setting.made.find((made) => made.setting.id === setting.id);
  const ledger = one?.ledger ?? [];
  const last = ledger.at(-1);
  const stands = last?.stands ?? Object.fromEntries(places.map((place) => [place, noTurn]));
  const most = mostNow(setting, stands);
  const mine = may('setting.write');
  const placeName = (place: string) => words.places?.[place] ?? named('settingPlace', place);
  const isOne = places.length === 1;
  // what is said of the patient's own change is no change of ours
  const turn = (turns: { place: string; by: Turn }[], inSpite?: string) =>
    save(() =>
      write('set.turned', stage, {
        setting: setting.id,
        turns: turns.map(({ place, by }) => ({ place, ...by })),
        ...(inSpite === undefined ? {} : { inSpite }),
        ...(told ? { reported: true } : mine ? {} : { found: true }),
      }),
    );
  const of = compartmentOf(state.order?.order);
  const way = towards(setting, 'relieve' in of ? of.relieve : undefined);
  // which compartment it unloads is asked before it is turned on, never guessed
  const asksCompartment = unloads(setting) && 'asks' in of ? of.asks : undefined;
  // places that are turned one after the other are all turned before the walk
  const turned = turnedSinceFelt(ledger);
  const asks = setting.felt === true && turned.size > 0 && !told;
  // a change back is felt at once; the next screw is turned before that
  const isNextToTurn =
    asks && last!.what === 'turned' && !isBack(last!) && places.some((place) => !turned.has(place));
  return (
    <Stack $gap={10}>
      <Row $gap={16} $align="flex-start">
        {setting.unit === 'turns' || setting.unit === 'degrees' ? (
          places.map((place) => (
            <Screw
              key={place}
              name={isOne ? '' : placeName(place)}
              turn={setting.unit === 'degrees' ? asTurn(stands[place]!) : stands[place]!}
            />
          ))
        ) : (
          <b style={{ fontSize: size.title }}>{saidTurn(setting, stands[places[0]!]!)}</b>
        )}
        <Stack $gap={6} style={{ flex: 1, minWidth: 220 }}>
          <span>
            {t('setting.standsAt', {
              stands: places
                .map((place) => `${isOne ? '' : `${placeName(place)} `}${saidTurn(setting, stands[place]!)}`)
                .join(', '),
            })}{' '}
            {saidWay(setting, stands)}
          </span>
          {places.map((place) => (
            <OnItsWay
              key={place}
              {...reachOf(setting, ledger, place)}
              now={asNumber(stands[place]!)}
              {...(most ? { next: asNumber(stands[place]!) + asNumber(most) * (way ?? 1) } : {})}
            />
          ))}
          <Soft style={{ fontSize: size.small }}>
            {[
              setting.inAll === undefined
                ? ''
                : t('setting.inAll', { most: saidPlain(setting, setting.inAll) }),
              most
                ? t('setting.nextAtMost', { most: `${plain(most)} ${unitName(setting)}` })
                : t('setting.nextNotStated'),
            ]
              .filter(Boolean)
              .join(' ')}
          </Soft>
        </Stack>
      </Row>
      {may('strapping.write') && (
        <>
          {ledger.length === 0 && mine ? (
            <Row>
              <Button
                look="main"
                isDisabled={saving}
                onPress={() =>
                  void save(() => record({ values: Object.fromEntries(places.map((place) => [place, 0])) }))
                }
              >
                {t(`setting.begin.${setting.origin}`)}
              </Button>
              <Soft style={{ flex: 1, minWidth: 200 }}>{t(`setting.beginHow.${setting.origin}`)}</Soft>
            </Row>
          ) : (
            <>
              {asksCompartment && (
                <Notice tone="stop">
                  {t(`setting.compartmentAsked.${asksCompartment}`)}{' '}
                  <Link to={`/cases/${state.case}/screen`}>{t('strapping.toTheOrder')}</Link>
                </Notice>
              )}
              {asks && <Felt setting={setting} stage={stage} isMain={!isNextToTurn} />}
              {(!asks || isNextToTurn) && (
                <Steps
                  setting={setting}
                  places={places}
                  turned={turned}
                  most={most}
                  way={way}
                  onward={asksCompartment === undefined}
                  ledger={ledger}
                  stands={stands}
                  saving={saving}
                  placeName={placeName}
                  onTurn={turn}
                />
              )}
            </>
          )}
          <Notice tone="caution">{t('setting.tooMuchDoes')}</Notice>
        </>
      )}
      {ledger.length > 0 && (
        <List aria-label={t('setting.ledger')}>
          {ledger.map((line) => (
            <li key={line.entry}>
              <span>{formatDay(line.day)}</span>
              <b>{saidLine(line, setting, isOne ? undefined : placeName)}</b>
              {saidMore(line).map((said) => (
                <span key={said}>{said}</span>
              ))}
            </li>
          ))}
        </List>
      )}
      {mine && last && <HandOver setting={setting} stage={stage} most={most} handed={one?.patient} />}
      {setting.forces && <ThreePointEstimate setting={setting} forces={setting.forces} />}
    </Stack>
  );
}

/** The places that were turned since it was last said how it feels. */
function turnedSinceFelt(ledger: readonly LedgerLine[]): Set<string> {
  const since = ledger.slice(
    ledger.findLastIndex(({ what, felt }) => what === 'set' || felt !== undefined) + 1,
  );
  return new Set(since.flatMap(({ turns }) => turns.map(({ place }) => place)));
}

/** Whether a line goes back towards the origin. */
const isBack = ({ turns, stands }: LedgerLine): boolean =>
  turns.every(
    ({ place, by }) =>
      Math.abs(asNumber(stands[place]!)) < Math.abs(asNumber(sumOfTurns(stands[place]!, opposite(by)))),
  );

/** Degrees of a dial as a part of its turn. */
const asTurn = ({ n, d }: Turn): Turn => sumOfTurns({ n, d: d * 360 });

const unitName = ({ unit }: Correction): string => (unit === 'degrees' ? '°' : t(`setting.unit.${unit}`));
const saidPlain = (setting: Correction, value: number): string =>
  `${plain(readTurn(String(value)) ?? { n: Math.round(value * 64), d: 64 })} ${unitName(setting)}`;

/** Which way relieves what is ordered: 1 clockwise, -1 the other way; undefined where nothing says. */
function towards({ ways, least }: Correction, relieve: Compartment | undefined): 1 | -1 | undefined {
  // what has nothing below its origin is turned up and back
  if (least >= 0) return 1;
  if (!ways || !relieve) return undefined;
  return ways.clockwise === `relieves-${relieve}`
    ? 1
    : ways.anticlockwise === `relieves-${relieve}`
      ? -1
      : undefined;
}

/** Whether turning it unloads one compartment or the other. */
const unloads = ({ ways, least }: Correction): boolean =>
  least < 0 &&
  ways !== undefined &&
  [ways.clockwise, ways.anticlockwise].some((way) => way === 'relieves-medial' || way === 'relieves-lateral');

/** What it does where it stands, by the model's own statement. */
function saidWay({ ways }: Correction, stands: Record<string, Turn>): string {
  const signs = new Set(Object.values(stands).map(({ n }) => Math.sign(n)));
  signs.delete(0);
  const [sign, other] = [...signs];
  if (!ways || sign === undefined || other !== undefined) return '';
  return t(`setting.effect.${sign > 0 ? ways.clockwise : ways.anticlockwise}`);
}

const saidLine = (
  { what, turns, stands }: LedgerLine,
  setting: Correction,
  placeName: ((place: string) => string) | undefined,
): string =>
  what === 'set'
    ? Object.values(stands).every(({ n }) => n === 0)
      ? t(`setting.originNow.${setting.origin}`)
      : Object.values(stands)
          .map((turn) => saidTurn(setting, turn))
          .join(' / ')
    : turns
        .map(({ place, by }) => [placeName?.(place), saidTurn(setting, by)].filter(Boolean).join(' '))
        .join(', ');

const saidMore = ({ felt, over, inSpite, reported, found }: LedgerLine): string[] => [
  ...(felt
    ? [
        [
          felt.walked ? t('setting.walked') : '',
          t(`setting.comfort.${felt.comfort}`),
          felt.pain === undefined ? '' : t('entry.pain', { pain: felt.pain }),
        ]
          .filter(Boolean)
          .join(', '),
      ]
    : []),
  ...(reported ? [t('setting.byPatient')] : []),
  ...(found ? [t('entry.found')] : []),
  ...(over ? [t(`setting.flag.${over}`)] : []),
  ...(inSpite === undefined ? [] : [t('setting.inSpiteOf', { reason: inSpite })]),
];

/** After the walk: how it feels. */
function Felt({
  setting,
  stage,
  isMain,
}: {
  setting: Correction;
  stage: PieceProps<Correction>['stage'];
  isMain: boolean;
}) {
  const { state, write } = useWork();
  const [pain, setPain] = useDraft(`${state.case}-felt-${setting.id}`);
  const [saving, save] = useSaving();
  const read = pain.trim() === '' ? undefined : Number(pain);
  const isSound = read === undefined || (Number.isInteger(read) && read >= 0 && read <= 10);
  return (
    <Stack $gap={8}>
      <b>{t('setting.walkNow')}</b>
      <Row $align="flex-end">
        <Field
          label={t('setting.painNow')}
          value={pain}
          onChange={setPain}
          maxLength={2}
          problem={isSound ? undefined : t('setting.painHow')}
        />
        {comforts.map((comfort) => (
          <Button
            key={comfort}
            look={comfort === 'gentle' && isMain ? 'main' : 'second'}
            isDisabled={saving || !isSound}
            onPress={() =>
              void save(() =>
                write('set.felt', stage, {
                  setting: setting.id,
                  comfort,
                  walked: true,
                  ...(read === undefined ? {} : { pain: read }),
                }).then(() => setPain('')),
              )
            }
          >
            {t(`setting.comfortNow.${comfort}`)}
          </Button>
        ))}
      </Row>
    </Stack>
  );
}

/** The next change, place by place, and one back; any other amount with its reason where it is more than is allowed. */
function Steps({
  setting,
  places,
  turned,
  most,
  way,
  onward,
  ledger,
  stands,
  saving,
  placeName,
  onTurn,
}: {
  setting: Correction;
  places: readonly string[];
  turned: ReadonlySet<string>;
  most: Turn | undefined;
  way: 1 | -1 | undefined;
  /** it may be turned on; else back alone */
  onward: boolean;
  ledger: readonly LedgerLine[];
  stands: Record<string, Turn>;
  saving: boolean;
  placeName: (place: string) => string;
  onTurn: (turns: { place: string; by: Turn }[], inSpite?: string) => Promise<unknown>;
}) {
  const [other, setOther] = useState(false);
  const [against, setAgainst] = useState<{ place: string; by: Turn }[]>();
  // too much is answered by one step back; going on, or the other way, needs a reason
  const tooMuch = wasTooMuch(ledger);
  const isOne = places.length === 1;
  const ways: (1 | -1)[] = way === undefined ? [1, -1] : [way];
  // screws that go alike are turned together, others one after the other
  const alike = setting.axes.every(({ go }) => go === 'alike') && !isOne;
  const groups: readonly (readonly string[])[] = alike ? [places] : places.map((place) => [place]);
  const nextGroup = Math.max(
    0,
    groups.findIndex((group) => group.some((place) => !turned.has(place))),
  );
  const name = (group: readonly string[]) =>
    isOne ? '' : alike ? t('setting.bothScrews') : placeName(group[0]!);
  const signedBy = (by: Turn, sign: 1 | -1): Turn => (sign === 1 ? by : opposite(by));
  const back = (group: readonly string[]): { place: string; by: Turn }[] | undefined => {
    const at = stands[group[0]!]!;
    if (at.n === 0) return undefined;
    // back by one change, never past the origin
    const change = most ?? at;
    const by =
      Math.abs(asNumber(at)) < asNumber(change)
        ? { n: Math.abs(at.n), d: at.d }
        : { n: Math.abs(change.n), d: change.d };
    return group.map((place) => ({ place, by: at.n > 0 ? opposite(by) : by }));
  };
  const alikeBy = (group: readonly string[], by: Turn) => group.map((place) => ({ place, by }));
  /** One step back of each; of what was turned last first, where that was too much. */
  const backButtons = (look: 'main' | 'second') => {
    const last = new Set(ledger.at(-1)?.turns.map(({ place }) => place));
    return groups.map((group, i) => {
      const turns = back(group);
      const isLast = last.size === 0 ? i === 0 : group.some((place) => last.has(place));
      return (
        turns && (
          <Button
            key={group.join()}
            look={look === 'main' && isLast ? 'main' : 'second'}
            isDisabled={saving}
            onPress={() => void onTurn(turns)}
          >
            {[name(group), t('setting.backBy', { by: `${plain(turns[0]!.by)} ${unitName(setting)}` })]
              .filter(Boolean)
              .join(' ')}
          </Button>
        )
      );
    });
  };
  return (
    <Stack $gap={8}>
      <Row>
        {tooMuch && backButtons('main')}
        {most &&
          onward &&
          groups.flatMap((group, at) =>
            ways.map((sign) => {
              const by = signedBy(most, sign);
              const effect = sign === 1 ? setting.ways?.clockwise : setting.ways?.anticlockwise;
              return (
                <Button
                  key={`${group.join()}-${sign}`}
                  look={at === nextGroup && sign === way && !tooMuch ? 'main' : 'second'}
                  isDisabled={saving || turnFault(setting, ledger, alikeBy(group, by)) !== undefined}
                  onPress={() => (tooMuch ? setAgainst(alikeBy(group, by)) : void onTurn(alikeBy(group, by)))}
                >
                  {[
                    name(group),
                    t(sign === 1 ? 'setting.clockwise' : 'setting.anticlockwise', {
                      by: `${plain(most)} ${unitName(setting)}`,
                    }),
                    way === undefined && effect ? `(${t(`setting.effectShort.${effect}`)})` : '',
                  ]
                    .filter(Boolean)
                    .join(' ')}
                </Button>
              );
            }),
          )}
        {!tooMuch && backButtons('second')}
        <Button look="quiet" onPress={() => setOther(!other)} aria-expanded={other}>
          {t('setting.otherAmount')}
        </Button>
      </Row>
      {against && (
        <ReasonDialog
          reasonFor={`turn-against-${setting.id}`}
          title={t('setting.againstTooMuch')}
          doing={t('setting.turnWithReason')}
          onReason={(reason) => void onTurn(against, reason).then(() => setAgainst(undefined))}
          onClose={() => setAgainst(undefined)}
        />
      )}
      {other && (
        <OtherAmount
          setting={setting}
          groups={groups}
          name={name}
          most={most}
          way={way}
          tooMuch={tooMuch}
          ledger={ledger}
          saving={saving}
          onTurn={(turns, inSpite) => onTurn(turns, inSpite).then(() => setOther(false))}
        />
      )}
    </Stack>
  );
}

/** Any amount: more than is allowed is refused with its reason, and taken with one. */
function OtherAmount({
  setting,
  groups,
  name,
  most,
  way,
  tooMuch,
  ledger,
  saving,
  onTurn,
}: {
  setting: Correction;
  groups: readonly (readonly string[])[];
  name: (group: readonly string[]) => string;
  most: Turn | undefined;
  way: 1 | -1 | undefined;
  tooMuch: boolean;
  ledger: readonly LedgerLine[];
  saving: boolean;
  onTurn: (turns: { place: string; by: Turn }[], inSpite?: string) => Promise<unknown>;
}) {
  const { state } = useWork();
  const [at, setAt] = useState('0');
  const [sign, setSign] = useState<'1' | '-1' | undefined>(way && (String(way) as '1' | '-1'));
  const [unsaid, setUnsaid] = useState(false);
  const [typed, type] = useDraft(`${state.case}-turn-${setting.id}`);
  const [problem, setProblem] = useState<string>();
  const [why, ask] = useState<string>();
  const { field, giving } = useReason(
    `${state.case}-turn-${setting.id}`,
    t(most ? 'setting.inSpiteWhy' : 'setting.whoSaidSo'),
    400,
    false,
  );
  const take = () => {
    const read = readTurn(typed);
    if (!read || read.n <= 0)
      return setProblem(t(setting.unit === 'turns' ? 'setting.turnHow' : 'setting.detentHow'));
    if (sign === undefined) return setUnsaid(true);
    const by = sign === '1' ? read : opposite(read);
    const group = groups[Number(at)]!;
    const stands = ledger.at(-1)?.stands ?? {};
    // beyond the origin it unloads the other compartment
    const isOtherWay =
      way !== undefined && group.some((place) => asNumber(sumOfTurns(stands[place] ?? noTurn, by)) * way < 0);
    const isOnward = group.some(
      (place) =>
        Math.abs(asNumber(sumOfTurns(stands[place] ?? noTurn, by))) >
        Math.abs(asNumber(stands[place] ?? noTurn)),
    );
    const turns = group.map((place) => ({ place, by }));
    const fault = turnFault(setting, ledger, turns);
    const refused =
      fault &&
      {
        'over-all': t('setting.beyondAll'),
        'not-stated': t('setting.nextNotStated'),
        'over-change': most && t('setting.beyondChange', { most: `${plain(most)} ${unitName(setting)}` }),
      }[fault];
    const wrongWay = isOtherWay
      ? t('setting.otherWay')
      : tooMuch && isOnward
        ? t('setting.againstTooMuch')
        : undefined;
    const turn = (reason?: string) => void onTurn(turns, reason).then(() => type(''));
    if (!refused && wrongWay) {
      if (why === wrongWay) return giving((reason) => turn(reason));
      return ask(wrongWay);
    }
    if (!refused) return turn();
    if (why === refused) return giving((reason) => turn(reason));
    ask(refused);
  };
  return (
    <Stack $gap={8}>
      <Row $align="flex-end">
        {groups.length > 1 && (
          <Choice
            label={t('setting.whichScrew')}
            options={groups.map((group, i) => ({ value: String(i), label: name(group) }))}
            value={at}
            onChange={setAt}
          />
        )}
        <Choice
          label={t('setting.whichWay')}
          options={[
            { value: '1', label: t('setting.clockwise', { by: '' }).trim() },
            { value: '-1', label: t('setting.anticlockwise', { by: '' }).trim() },
          ]}
          value={sign}
          onChange={(value) => {
            setSign(value);
            setUnsaid(false);
          }}
        />
        {unsaid && <b style={{ color: color('madder') }}>{t('reviewing.sayWhich')}</b>}
        <Field
          label={`${t('setting.amountOf')} (${unitName(setting)})`}
          value={typed}
          onChange={(text) => {
            type(text);
            setProblem(undefined);
            ask(undefined);
          }}
          problem={problem}
          maxLength={12}
        />
        <Button isDisabled={saving} onPress={take}>
          {t('measuring.take')}
        </Button>
      </Row>
      {why !== undefined && (
        <Notice tone="stop" live>
          <Stack $gap={8}>
            <span>{why}</span>
            {field}
          </Stack>
        </Notice>
      )}
    </Stack>
  );
}
