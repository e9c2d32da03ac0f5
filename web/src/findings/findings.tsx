import {
  toldOfOrder,
  withholding,
  type CaseFinding,
  type FindingLevel,
  type Withheld,
} from '@estribo/core/findings';
import type { Stage } from '@estribo/core/record';
import { CalendarClock, OctagonAlert, Siren, CircleDashed } from 'lucide-react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { RecordCall } from '../case/calls';
import { useWork } from '../case/case-context';
import { NewerVersion } from '../case/newer-version';
import { color, narrow, size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { formatDay } from '../parts/format';
import { Soft } from '../parts/layout';
import { formatFinding } from './format-finding';

const ink = { emergency: 'madder', today: 'madder', 'by-date': 'ochre', note: 'soft' } as const;
const icons = { emergency: Siren, today: OctagonAlert, 'by-date': CalendarClock, note: CircleDashed };

const List = styled.ul<{ $level: FindingLevel }>`
  border: 1px solid ${color('line')};
  border-left: 4px solid ${({ $level }) => color(ink[$level])};
  border-radius: 4px;
  background: ${color('sheet')};
  & > li + li {
    border-top: 1px solid ${color('line')};
  }
`;

const Item = styled.li<{ $level: FindingLevel }>`
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto;
  gap: 4px 12px;
  align-items: center;
  padding: 8px 12px;
  & > svg {
    color: ${({ $level }) => color(ink[$level])};
    align-self: start;
    margin-top: 2px;
  }
  & > p,
  & > div:not(:last-child) {
    min-width: 0;
    overflow-wrap: anywhere;
  }
  & > section {
    grid-column: 2 / -1;
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  ${narrow} {
    grid-template-columns: 24px minmax(0, 1fr);
    & > button {
      grid-column: 2;
      justify-self: start;
    }
  }
`;

/** What a stage gives, and a finding may hold back there: what is missing for it is said at its head. */
const gives: Partial<Record<Stage, Withheld>> = { check: 'signature', wear: 'plan', review: 'plan' };

/** What is found of the case, as far as a stage is concerned: what may not wait at every stage, what is missing where it counts. */
export const findingsAt = (findings: readonly CaseFinding[], stage: Stage): CaseFinding[] => {
  const held = gives[stage] === undefined ? [] : withholding(findings, gives[stage]);
  // a danger has its own notice, with whom to call
  return findings.filter((one) => one.kind !== 'danger' && (one.level !== 'note' || held.includes(one)));
};

/** The head of a stage: what is dangerous, what holds no longer, what is missing for it; each with what resolves it. */
export function Findings({ stage }: { stage: Stage }) {
  const { findings } = useWork();
  const shown = findingsAt(findings, stage);
  if (shown.length === 0) return null;
  return (
    <List $level={shown[0]!.level} aria-label={t('findingsList.label')}>
      {shown.map((one) => (
        <OneFinding key={`${one.kind} ${one.about}`} one={one} stage={stage} />
      ))}
    </List>
  );
}

function OneFinding({ one, stage }: { one: CaseFinding; stage: Stage }) {
  const { state, today, unit } = useWork();
  const navigate = useNavigate();
  const Icon = icons[one.level];
  const { title, detail } = formatFinding(state, one, today, unit);
  const held = one.withholds.map((what) => named('withheld', what)).join(', ');
  const isHere = (one.stage === stage && one.thing === undefined) || one.kind === 'family-safety';
  return (
    <Item $level={one.level}>
      <Icon size={20} aria-label={named('findingLevel', one.level)} />
      <div role={one.level === 'today' || one.level === 'emergency' ? 'alert' : undefined}>
        <b>{title}</b>
        {(detail || (held && one.level !== 'note')) && (
          <Soft style={{ fontSize: size.small }}>
            {[detail, held && one.level !== 'note' ? t('findingsList.withheld', { what: held }) : '']
              .filter(Boolean)
              .join(' ')}
          </Soft>
        )}
      </div>
      {isHere ? (
        <span />
      ) : (
        <Button
          look={one.level === 'today' ? 'main' : 'second'}
          onPress={() =>
            void navigate(`/cases/${state.case}/${one.stage}${one.thing ? `#thing=${one.thing}` : ''}`)
          }
        >
          {t('findingsList.open', { stage: named('stages', one.stage) })}
        </Button>
      )}
      {one.kind === 'exceeds-order' && <Contacts one={one} />}
      {one.kind === 'family-safety' && (
        <section>
          <NewerVersion />
        </section>
      )}
    </Item>
  );
}

/** The patient is contacted and the prescriber informed the same day; each is recorded with who and when. */
function Contacts({ one }: { one: CaseFinding }) {
  const [order] = one.entries;
  return (
    <section>
      {(['patient', 'prescriber'] as const).map((whom) => {
        const told = one.told?.[whom];
        return told ? (
          <p key={whom}>
            {t(`findingsList.told.${whom}`, { whom: told.whom, said: told.said, day: formatDay(told.day) })}
          </p>
        ) : (
          <RecordCall
            key={whom}
            of={order!}
            about={toldOfOrder[whom]}
            stage="set"
            button={t(`findingsList.tell.${whom}`)}
          >
            <span>{t(`findingsList.today.${whom}`)}</span>
          </RecordCall>
        );
      })}
    </section>
  );
}
