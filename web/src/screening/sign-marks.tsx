import { findingRule, type AnswerToFinding, type Finding, type Referral } from '@estribo/core/screening';
import { ToggleButton, Toolbar } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';

/** How soon somebody is called, told by word, form and colour. */
export const Level = styled.h3<{ $refer: Referral | undefined }>`
  display: flex;
  align-items: center;
  gap: 8px;
  &::before {
    content: ${({ $refer }) =>
      $refer === undefined
        ? "'○'"
        : { emergency: "'▲'", 'physician-now': "'△'", prescriber: "'◆'", 'foot-team': "'◇'" }[$refer]};
    color: ${({ $refer }) =>
      color($refer === 'emergency' || $refer === 'physician-now' ? 'madder' : 'ochre')};
  }
`;

/** One stop of the tab key: inside it the arrows go from mark to mark. */
const Grid = styled(Toolbar)`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 6px;
`;

const Line = styled.div`
  display: flex;
  min-width: 0;
`;

const Mark = styled(ToggleButton)<{ $blocks: boolean }>`
  flex: 1;
  min-width: 0;
  min-height: 44px;
  text-align: left;
  padding: 4px 10px;
  display: flex;
  gap: 8px;
  align-items: center;
  border: 1px solid ${color('line')};
  border-radius: 4px 0 0 4px;
  background: ${color('sheet')};
  cursor: pointer;
  font-size: 14px;
  line-height: 1.2;
  &::before {
    content: '';
    flex: none;
    width: 20px;
    height: 20px;
    border: 2px solid ${color('edge')};
    border-radius: ${({ $blocks }) => ($blocks ? '3px' : '50%')};
  }
  &[data-selected] {
    font-weight: 700;
    border-color: ${({ $blocks }) => color($blocks ? 'madder' : 'ochre')};
    background: ${({ $blocks }) => color($blocks ? 'madderWash' : 'ochreWash')};
  }
  &[data-selected]::before {
    content: '✕';
    display: grid;
    place-items: center;
    font-size: 14px;
    line-height: 1;
    color: ${color('sheet')};
    background: ${({ $blocks }) => color($blocks ? 'madder' : 'ochre')};
    border-color: ${({ $blocks }) => color($blocks ? 'madder' : 'ochre')};
  }
`;

const Unable = styled(ToggleButton)`
  flex: none;
  min-width: 44px;
  min-height: 44px;
  padding: 0;
  border: 1px solid ${color('line')};
  border-left: 0;
  border-radius: 0 4px 4px 0;
  background: ${color('sheet')};
  color: ${color('soft')};
  cursor: pointer;
  font-size: ${size.lead};
  width: 44px;
  &[data-selected] {
    border: 2px dashed ${color('ochre')};
    background: ${color('ochreWash')};
    color: ${color('ink')};
    font-weight: 700;
  }
`;

/** What is said of a finding so far; one that is not in it has not been said. */
export type Marks = Partial<Record<Finding, Exclude<AnswerToFinding, 'absent'>>>;

/** Findings to be marked: present by touching it, unable to assess beside it; absent is said by the button that records. */
export function SignMarks({
  label,
  findings,
  marks,
  onChange,
}: {
  label: string;
  findings: readonly Finding[];
  marks: Marks;
  onChange: (marks: Marks) => void;
}) {
  const set = (finding: Finding, is: Marks[Finding] | undefined) => {
    const { [finding]: _before, ...rest } = marks;
    onChange(is === undefined ? rest : { ...rest, [finding]: is });
  };
  return (
    <Grid aria-label={label} orientation="vertical">
      {findings.map((finding) => (
        <Line key={finding}>
          <Mark
            $blocks={findingRule(finding).severity === 'blocks'}
            isSelected={marks[finding] === 'present'}
            onChange={(is) => set(finding, is ? 'present' : undefined)}
          >
            {named('findings', finding)}
          </Mark>
          <Unable
            aria-label={t('screening.signIs', {
              sign: named('findings', finding),
              is: t('screening.unable'),
            })}
            isSelected={marks[finding] === 'unable'}
            onChange={(is) => set(finding, is ? 'unable' : undefined)}
          >
            ?
          </Unable>
        </Line>
      ))}
    </Grid>
  );
}
