import { useState } from 'react';
import { msg, type Landmarks } from '@toile/core';
import { call, CallError } from '../../data/call';
import { useClients } from '../../data/hooks';
import { Body, Button, Column, Field, Label, Line, Ready, Row, Subheading } from '../../ui';
import { landmarksFor } from '../clients/snapshot';

type StartFromFaceProps = {
  readonly clientId: string;
  readonly likeness: Landmarks | null;
  readonly onStart: (likeness: Landmarks | null) => void;
};

/**
 * Takes another client's face as a start: a sister's, or one much like this. What is measured or tapped here
 * counts more.
 */
export function StartFromFace({ clientId, likeness, onStart }: StartFromFaceProps) {
  const [query, setQuery] = useState('');
  const [failure, setFailure] = useState<string | null>(null);
  const clients = useClients(query);
  const take = async (id: string): Promise<void> => {
    setFailure(null);
    try {
      onStart(landmarksFor(await call('client', { params: { id } })));
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : msg`The face could not be fetched. Try again.`);
    }
  };
  return (
    <Column gap="$2">
      <Subheading>{msg`From another face`}</Subheading>
      <Body>{msg`A start only: anything measured or tapped here counts more than the face it was started from.`}</Body>
      {likeness ? (
        <Line>
          <Label flex={1}>{msg`Started from another face.`}</Label>
          <Button onPress={() => onStart(null)}>{msg`Start from an average face`}</Button>
        </Line>
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Field label={msg`Find a client`} value={query} onChange={setQuery} />
      <Ready remote={clients}>
        {(list) => (
          <Column gap={0}>
            {list
              .filter((other) => other.id !== clientId)
              .slice(0, 8)
              .map((other) => (
                <Row
                  key={other.id}
                  title={other.name}
                  detail={msg`Take this face as a start`}
                  onPress={() => void take(other.id)}
                />
              ))}
          </Column>
        )}
      </Ready>
    </Column>
  );
}
