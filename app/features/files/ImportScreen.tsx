import { useRouter } from 'expo-router';
import { useState } from 'react';
import { newId } from '@toile/contract';
import { msg } from '@toile/core';
import { call, CallError } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { Body, Column, FileButton, Screen } from '../../ui';
import { FileProblems, type FileFailure } from './FileProblems';

/** Takes in a chart file from elsewhere; a broken one is refused with where and why. */
export function ImportScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const [failure, setFailure] = useState<FileFailure | null>(null);
  const [file, setFile] = useState<string | null>(null);

  const take = async (chosen: File): Promise<void> => {
    setFile(chosen.name);
    setFailure(null);
    try {
      const answer = await call('importChart', {
        body: { text: await chosen.text() },
        idempotencyKey: newId(),
      });
      await refresh({ name: 'chart', params: { id: answer.chart.id }, answer });
      router.replace(`/charts/${answer.chart.id}`);
    } catch (error) {
      const problem = error instanceof CallError ? error.problem : null;
      setFailure({
        words: error instanceof CallError ? error.message : msg`The file could not be read.`,
        fields: problem?.fields ?? [],
      });
    }
  };

  return (
    <Screen
      title={msg`Import a chart`}
      widest={640}
      onBack={() => router.navigate('/settings')}
      foot={
        <FileButton
          kind="main"
          large
          label={msg`Chart file`}
          accept=".json,application/json"
          onFile={(file) => void take(file)}
        >{msg`Choose a file`}</FileButton>
      }
    >
      <Column gap="$4">
        <Body>{msg`A chart file (JSON, toile.chart/1 or 2) brings the chart and, if not here yet, the client it was made for: face, features, skin and sensitivities, but no contact data.`}</Body>
        {failure ? <FileProblems file={file ?? msg`The file`} failure={failure} /> : null}
      </Column>
    </Screen>
  );
}
