import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  msg,
  RULE_GROUPS,
  RULES,
  SEVERITIES,
  term,
  type Rule,
  type RuleGrades,
  type Severity,
} from '@toile/core';
import { may, type StudioSettingsAnswer } from '@toile/contract';
import { useSession, useStudioSettings } from '../../data/hooks';
import { Body, Button, Choice, Column, Label, Line, Ready, Screen, Subheading } from '../../ui';
import { useStudioKept } from '../settings/useStudioKept';
import { SEVERITY_MARKS } from './reviewView';

/** Every practice the review checks, with its reason; the owner grades them the studio’s way. */
export function RulesScreen() {
  const settings = useStudioSettings();
  const session = useSession();
  const router = useRouter();
  return (
    <Screen title={msg`Rules of the review`} widest={760} onBack={() => router.navigate('/settings')}>
      <Ready remote={settings}>
        {(answer) => (
          <Rules answer={answer} mayGrade={session.data ? may(session.data.role, 'manage') : false} />
        )}
      </Ready>
    </Screen>
  );
}

function Rules({ answer, mayGrade }: { readonly answer: StudioSettingsAnswer; readonly mayGrade: boolean }) {
  const { value, keep, failure } = useStudioKept(answer);
  const [open, setOpen] = useState<string | null>(null);
  const { ruleGrades } = value;
  const grade = (rule: Rule, to: Severity | 'off'): void => {
    const { [rule.id]: _old, ...others } = ruleGrades;
    const next: RuleGrades = to === rule.severity ? others : { ...others, [rule.id]: to };
    void keep({ ...value, ruleGrades: next });
  };
  return (
    <Column gap="$4">
      <Body>{msg`${RULES.length} practices are looked for in every chart. A note whispers, a caution asks to be looked at, a stop can do harm.`}</Body>
      {mayGrade ? null : <Label>{msg`The studio’s owner grades them and switches them off.`}</Label>}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {RULE_GROUPS.map(({ name, rules }) => (
        <Column key={name} gap={0}>
          <Subheading>{name}</Subheading>
          {rules.map((rule) => {
            const now = ruleGrades[rule.id] ?? rule.severity;
            return (
              <Column
                key={rule.id}
                gap="$1"
                paddingVertical="$2"
                borderBottomWidth={1}
                borderBottomColor="$line"
                role="group"
                aria-label={rule.name}
              >
                <Line justifyContent="space-between" flexWrap="nowrap" alignItems="flex-start">
                  <Column gap={0} flex={1}>
                    <Body>{`${now === 'off' ? '○' : SEVERITY_MARKS[now]} ${rule.name}`}</Body>
                    <Label>{rule.why}</Label>
                  </Column>
                  {mayGrade ? (
                    <Button
                      label={msg`Grade ${rule.name}: ${term(now)}`}
                      onPress={() => setOpen((o) => (o === rule.id ? null : rule.id))}
                    >
                      {term(now)}
                    </Button>
                  ) : (
                    <Label>{term(now)}</Label>
                  )}
                </Line>
                {open === rule.id ? (
                  <Choice
                    label={msg`Graded`}
                    options={[...SEVERITIES, 'off'] as const}
                    chosen={[now]}
                    onChange={([to]) => to && grade(rule, to)}
                  />
                ) : null}
              </Column>
            );
          })}
        </Column>
      ))}
    </Column>
  );
}
