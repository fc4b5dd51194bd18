import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { SessionAnswer, TeamAnswer } from '@toile/contract';
import { msg, term } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh, useSession, useTeam } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line, Ready, Row, Screen, Subheading, TabPanel, Tabs } from '../../ui';
import { dayInWords } from '../words/dates';
import { AuditPart } from './AuditPart';
import { InviteDialog } from './InviteDialog';
import { MemberDialog } from './MemberDialog';
import { inviteInWords } from './teamWords';

type Part = 'people' | 'record';

/** Who works here, who was asked to, and who did what. */
export function TeamScreen() {
  const team = useTeam();
  const session = useSession();
  const router = useRouter();
  const [part, setPart] = useState<Part>('people');
  return (
    <Screen
      title={msg`Team`}
      above={session.data?.studio.name}
      onBack={() => router.navigate('/settings')}
      widest={720}
    >
      <Column gap="$4">
        <Tabs
          label={msg`Parts of the team`}
          chosen={part}
          onChoose={setPart}
          tabs={[
            { id: 'people', words: msg`People` },
            { id: 'record', words: msg`Who did what` },
          ]}
        />
        <TabPanel label={term(part)}>
          <Ready remote={team}>
            {(data) =>
              part === 'record' ? (
                <AuditPart members={data.members} />
              ) : (
                <Ready remote={session}>{(who) => <People team={data} session={who} />}</Ready>
              )
            }
          </Ready>
        </TabPanel>
      </Column>
    </Screen>
  );
}

function People({ team, session }: { readonly team: TeamAnswer; readonly session: SessionAnswer }) {
  const refresh = useRefresh();
  const [inviting, setInviting] = useState(false);
  const [openId, setOpenId] = useState<string | null>(null);
  const open = team.members.find((member) => member.id === openId);
  const { failure, save } = useSaving();
  const takeBack = (id: string): Promise<unknown> =>
    save(async () => {
      await call('revokeInvite', { params: { id }, body: {} });
      await refresh();
    });
  return (
    <Column gap="$4">
      <Column gap={0}>
        {team.members.map((member) => (
          <Row
            key={member.id}
            title={member.self ? msg`${member.name} (you)` : member.name}
            detail={member.email}
            fact={
              member.deactivatedAt ? msg`▲ out since ${dayInWords(member.deactivatedAt)}` : term(member.role)
            }
            onPress={() => setOpenId(member.id)}
          />
        ))}
      </Column>
      <Column alignItems="flex-start">
        <Button kind="main" onPress={() => setInviting(true)}>{msg`Invite somebody`}</Button>
      </Column>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {team.invites.length > 0 ? (
        <Column gap="$1">
          <Subheading>{msg`Links`}</Subheading>
          <Column gap="$1" role="list" aria-label={msg`Links`}>
            {team.invites.map((invite) => (
              <Line key={invite.id} role="listitem" flexWrap="nowrap" justifyContent="space-between">
                <Column flex={1} gap={0}>
                  <Body>{`${invite.name}, ${term(invite.role)}`}</Body>
                  <Label>{inviteInWords(invite)}</Label>
                </Column>
                {invite.state === 'open' ? (
                  <Button
                    label={msg`Take back the link for ${invite.name}`}
                    onPress={() => void takeBack(invite.id)}
                  >{msg`Take back`}</Button>
                ) : null}
              </Line>
            ))}
          </Column>
        </Column>
      ) : null}
      {inviting ? <InviteDialog session={session} onClose={() => setInviting(false)} /> : null}
      {open ? <MemberDialog member={open} session={session} onClose={() => setOpenId(null)} /> : null}
    </Column>
  );
}
