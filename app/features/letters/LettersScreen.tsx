import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, writeMail } from '@toile/core';
import { dropLetter, lettersHere } from '../../data/letters';
import { Body, Button, Column, Empty, Label, Line, Screen, Subheading } from '../../ui';
import { saveFile } from '../files/saveFile';
import { dayInWords } from '../words/dates';

/**
 * What would be sent if mail left from here: each letter whole, to be saved as a mail and sent by one's own.
 */
export function LettersScreen() {
  const router = useRouter();
  const [letters, setLetters] = useState(lettersHere);
  return (
    <Screen title={msg`Letters`} widest={640} onBack={() => router.navigate('/settings')}>
      <Column gap="$4">
        <Label>{msg`No mail leaves from here. What would be sent waits on this device until you sign out, for you alone: the links in it open for whoever has them.`}</Label>
        {letters.length === 0 ? (
          <Empty
            title={msg`No letters wait`}
            words={msg`Invitations and questions to clients come here once their link is made.`}
          />
        ) : null}
        {letters.map(({ id, at, mail }) => (
          <Column key={id} gap="$2" borderTopWidth={1} borderTopColor="$line" paddingTop="$3">
            <Subheading fontSize="$3">{mail.subject}</Subheading>
            <Label>{msg`To ${mail.to.name}${mail.to.email ? `, ${mail.to.email}` : ''} · ${dayInWords(at)}`}</Label>
            <Body style={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{mail.text}</Body>
            <Line>
              <Button
                label={msg`Save as a mail: ${mail.subject}, ${mail.to.name}`}
                onPress={() => saveFile('letter.eml', 'message/rfc822', writeMail(mail))}
              >{msg`Save as a mail`}</Button>
              <Button
                label={msg`Take away: ${mail.subject}, ${mail.to.name}`}
                onPress={() => {
                  dropLetter(id);
                  setLetters(lettersHere());
                }}
              >{msg`Take away`}</Button>
            </Line>
          </Column>
        ))}
      </Column>
    </Screen>
  );
}
