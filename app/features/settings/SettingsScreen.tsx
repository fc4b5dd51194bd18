import { useRouter } from 'expo-router';
import { may, pathTo } from '@toile/contract';
import { msg, term } from '@toile/core';
import { useSession, useStudioSettings } from '../../data/hooks';
import { Body, Button, Choice, Column, Line, Ready, Rule, Screen, Subheading } from '../../ui';
import { chooseGround, useGround } from '../face/ground';
import { chooseKeysOn, useKeysOn } from '../frame/keysOn';
import { useSignOut } from '../session/useSignOut';
import { CalendarFeed } from './CalendarFeed';
import { ChangePassword } from './ChangePassword';
import { Devices } from './Devices';
import { Silenced } from './Silenced';
import { StudioPhotographs } from './StudioPhotographs';
import { StudioSchools } from './StudioSchools';
import { StudioManner } from './StudioManner';
import { StudioZone } from './StudioZone';
import { LanguageChoice } from './LanguageChoice';
import { THEME_CHOICES, useThemeChoice } from './theme';

/** Who is signed in, how the app looks, charts from elsewhere, signing out. */
export function SettingsScreen() {
  const session = useSession();
  const settings = useStudioSettings();
  const router = useRouter();
  const { busy, failure, signOut } = useSignOut();
  const { choice, choose } = useThemeChoice();
  const keys = useKeysOn();
  const ground = useGround();
  return (
    <Screen title={msg`Settings`} widest={640}>
      <Ready remote={session}>
        {(who) => (
          <Column gap="$4">
            <Column gap="$1">
              <Subheading>{who.studio.name}</Subheading>
              <Body>{`${who.name}, ${term(who.role)}`}</Body>
              <Body color="$inkSoft">{who.email}</Body>
            </Column>
            <ChangePassword />
            <Devices />
            <CalendarFeed />
            <Column alignItems="flex-start">
              <Subheading>{msg`How things hold`}</Subheading>
              <Body color="$inkSoft">{msg`What lasted, where and how long, from looks at worn faces.`}</Body>
              <Button href="/holds">{msg`See what holds`}</Button>
            </Column>
            <Column alignItems="flex-start">
              <Subheading>{msg`Questions tried`}</Subheading>
              <Body color="$inkSoft">{msg`What half-face trials say so far, over all clients they were made on.`}</Body>
              <Button href="/trials">{msg`See the questions`}</Button>
            </Column>
            <Column alignItems="flex-start">
              <Subheading>{msg`Practice`}</Subheading>
              <Body color="$inkSoft">{msg`Placement, shades and order, on invented faces; yours alone unless you share it.`}</Body>
              <Button href="/practice">{msg`Practise`}</Button>
            </Column>
            <Silenced />
            {may(who.role, 'edit') ? (
              <Column alignItems="flex-start">
                <Subheading>{msg`Letters`}</Subheading>
                <Body color="$inkSoft">{msg`Links that were made here, as the mails that would be sent.`}</Body>
                <Button href="/letters">{msg`See the letters`}</Button>
              </Column>
            ) : null}
            {may(who.role, 'manage') ? (
              <Column alignItems="flex-start">
                <Subheading>{msg`The team`}</Subheading>
                <Body color="$inkSoft">{msg`Who works here, who is asked to, and who did what.`}</Body>
                <Button onPress={() => router.navigate('/team')}>{msg`See the team`}</Button>
              </Column>
            ) : null}
            <Rule />
            <LanguageChoice />
            <Choice
              label={msg`Light or dark`}
              options={THEME_CHOICES}
              words={{
                'as the device': msg`as the device`,
                light: term('light', 'theme'),
                dark: term('dark', 'theme'),
              }}
              chosen={[choice]}
              onChange={([c]) => c && choose(c)}
            />
            <Choice
              label={msg`Single keys as shortcuts (? shows them)`}
              options={['on', 'off']}
              chosen={[keys]}
              onChange={([on]) => on && chooseKeysOn(on)}
            />
            <Choice
              label={msg`Faces are drawn on`}
              options={['skin', 'paper']}
              words={{ skin: msg`the client’s skin` }}
              chosen={[ground]}
              onChange={([on]) => on && chooseGround(on)}
            />
            <Rule />
            <Column alignItems="flex-start">
              <Subheading>{msg`Rules of the review`}</Subheading>
              <Body color="$inkSoft">{msg`What every chart is looked over for, with the reasons.`}</Body>
              <Button onPress={() => router.navigate('/rules')}>{msg`See the rules`}</Button>
            </Column>
            <Rule />
            <Column>
              <Subheading>{msg`The studio’s way`}</Subheading>
              <Body color="$inkSoft">{msg`Where schools differ, looks are fitted this way.`}</Body>
              <Ready remote={settings}>
                {(answer) => <StudioSchools answer={answer} mayChange={may(who.role, 'manage')} />}
              </Ready>
            </Column>
            <Rule />
            <Column>
              <Subheading>{msg`The studio’s days`}</Subheading>
              <Ready remote={settings}>
                {(answer) => <StudioZone answer={answer} mayChange={may(who.role, 'manage')} />}
              </Ready>
            </Column>
            <Column>
              <Subheading>{msg`How things are told`}</Subheading>
              <Ready remote={settings}>
                {(answer) => <StudioManner answer={answer} mayChange={may(who.role, 'manage')} />}
              </Ready>
            </Column>
            <Column>
              <Subheading>{msg`Photographs`}</Subheading>
              <Ready remote={settings}>
                {(answer) => <StudioPhotographs answer={answer} mayChange={may(who.role, 'manage')} />}
              </Ready>
            </Column>
            <Rule />
            {may(who.role, 'edit') ? (
              <Column alignItems="flex-start">
                <Subheading>{msg`Charts from elsewhere`}</Subheading>
                <Body color="$inkSoft">{msg`A chart file from another studio comes in whole, with the face it was made for, or not at all.`}</Body>
                <Button onPress={() => router.navigate('/import')}>{msg`Import a chart`}</Button>
              </Column>
            ) : null}
            <Rule />
            {may(who.role, 'manage') ? (
              <Column alignItems="flex-start">
                <Subheading>{msg`The whole studio as a file`}</Subheading>
                <Body color="$inkSoft">{msg`Clients with their contact data, kit, looks, charts, visits and what happened at the chair, in one open file. Keep it as you keep the people’s papers. It holds no passwords, and no photographs: those are in a backup.`}</Body>
                <Line>
                  <Button
                    onPress={() => window.location.assign(pathTo('backupStudio'))}
                  >{msg`Back the studio up`}</Button>
                  <Button
                    onPress={() => window.location.assign(pathTo('exportStudio'))}
                  >{msg`Save the studio`}</Button>
                </Line>
                <Body color="$inkSoft">{msg`A backup is a zip that an empty installation is restored from; your own installation writes one every night as well.`}</Body>
              </Column>
            ) : null}
            <Rule />
            <Column alignItems="flex-start">
              <Button disabled={busy} onPress={signOut}>{msg`Sign out`}</Button>
              {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            </Column>
          </Column>
        )}
      </Ready>
    </Screen>
  );
}
