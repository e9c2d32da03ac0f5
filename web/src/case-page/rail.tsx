import { stages, type Stage } from '@estribo/core/record';
import type { StageState } from '@estribo/core/logbook';
import { Link } from 'react-router';
import styled from 'styled-components';
import { color, narrow, size } from '../look/tokens';
import { findingShort, named, t } from '../messages';

const Nav = styled.nav`
  position: relative;
  background: ${color('sheet')};
  border-right: 1px solid ${color('line')};
  min-height: 0;
  ${narrow} {
    position: sticky;
    top: 0;
    z-index: 3;
    border-right: 0;
    border-bottom: 1px solid ${color('line')};
    padding: 0 10px 2px;
  }
`;

const Strap = styled.svg`
  position: absolute;
  left: 22px;
  top: 0;
  width: 36px;
  height: 100%;
  ${narrow} {
    display: none;
  }
`;

const Holes = styled.ol`
  position: relative;
  display: grid;
  grid-template-rows: repeat(9, minmax(44px, 1fr));
  height: calc(100% - 44px);
  padding-top: 6px;
  ${narrow} {
    height: auto;
    padding: 0;
    grid-template-rows: auto;
    grid-template-columns: repeat(9, minmax(0, 1fr));
    /* the strap lying, stitched along both edges */
    background:
      repeating-linear-gradient(90deg, ${color('thread')} 0 5px, transparent 5px 9px) 0 11px / 100% 1px
        no-repeat,
      repeating-linear-gradient(90deg, ${color('thread')} 0 5px, transparent 5px 9px) 0 33px / 100% 1px
        no-repeat,
      linear-gradient(${color('saddle')}, ${color('saddle')}) 0 8px / 100% 28px no-repeat;
  }
`;

const Hole = styled(Link)<{ $now: boolean }>`
  height: 100%;
  min-height: 44px;
  display: grid;
  grid-template-columns: 80px 1fr;
  align-items: center;
  text-decoration: none;
  color: ${({ $now }) => ($now ? color('ink') : color('soft'))};
  font-weight: ${({ $now }) => ($now ? 700 : 400)};
  font-size: ${size.small};
  &:hover {
    color: ${color('ink')};
    text-decoration: underline;
  }
  &:focus-visible {
    outline-offset: -3px;
  }
  & svg {
    overflow: visible;
  }
  ${narrow} {
    height: auto;
    grid-template-columns: minmax(0, 1fr);
    justify-items: center;
    position: relative;
    min-height: ${({ $now }) => ($now ? 62 : 44)}px;
    align-content: start;
    & > svg {
      width: 56px;
      height: 44px;
      transform: scale(0.8);
    }
    & > span {
      position: absolute;
      top: 42px;
      white-space: nowrap;
      /* the stage one is in is named; the others are known by their place and their name when read out */
      visibility: ${({ $now }) => ($now ? 'visible' : 'hidden')};
    }
  }
`;

/** One hole of the strap. Its form tells the stage's state; the buckle sits on the one shown. */
function HoleShape({ status, now }: { status: StageState['status']; now: boolean }) {
  return (
    <svg width="80" height="44" viewBox="0 0 80 44" aria-hidden>
      {status === 'done' && (
        <g>
          <circle cx="40" cy="22" r="8" fill={color('thread')} stroke={color('saddleDeep')} />
          <path d="M36 22l3 3.500 5.500 -7" fill="none" stroke={color('saddleDeep')} strokeWidth="2" />
        </g>
      )}
      {status === 'open' && <circle cx="40" cy="22" r="5.500" fill={color('saddleDeep')} />}
      {status === 'not-needed' && <ellipse cx="40" cy="22" rx="6" ry="2.200" fill={color('saddleDeep')} />}
      {status === 'blocked' && (
        <g stroke={color('thread')} strokeWidth="2.500">
          <circle cx="40" cy="22" r="8" fill={color('saddleDeep')} />
          <path d="M36 18l8 8M44 18l-8 8" />
        </g>
      )}
      {now && (
        <g fill="none">
          <rect x="12" y="3" width="56" height="38" rx="7" stroke={color('saddleDeep')} strokeWidth="6.500" />
          <rect x="12" y="3" width="56" height="38" rx="7" stroke={color('brass')} strokeWidth="4.500" />
          <path d="M13 22H41" stroke={color('saddleDeep')} strokeWidth="6" strokeLinecap="round" />
          <path d="M13 22H41" stroke={color('brass')} strokeWidth="4" strokeLinecap="round" />
        </g>
      )}
    </svg>
  );
}

/** The nine stages as nine holes in a strap. */
export function Rail({
  caseId,
  current,
  states,
}: {
  caseId: string;
  current: Stage;
  states: Record<Stage, StageState>;
}) {
  return (
    <Nav aria-label={t('rail.label')}>
      <Strap aria-hidden preserveAspectRatio="none" viewBox="0 0 36 100">
        <path
          d="M0 0H36V95Q36 97.500 18 100Q0 97.500 0 95Z"
          fill={color('saddle')}
          vectorEffect="non-scaling-stroke"
        />
        <path
          d="M5 0V94.500Q6 96.500 18 98.500Q30 96.500 31 94.500V0"
          fill="none"
          stroke={color('thread')}
          strokeWidth="1.200"
          strokeDasharray="5 4"
          vectorEffect="non-scaling-stroke"
        />
      </Strap>
      <Holes>
        {stages.map((stage) => {
          const { status, because } = states[stage];
          const now = stage === current;
          const said = because
            ? t('rail.blockedBy', { finding: findingShort(because) })
            : named('stageStatus', status);
          return (
            <li key={stage}>
              <Hole
                to={`/cases/${caseId}/${stage}`}
                $now={now}
                aria-current={now ? 'page' : undefined}
                aria-label={`${named('stages', stage)}, ${said}`}
                title={said}
              >
                <HoleShape status={status} now={now} />
                <span>{named('stages', stage)}</span>
              </Hole>
            </li>
          );
        })}
      </Holes>
    </Nav>
  );
}
