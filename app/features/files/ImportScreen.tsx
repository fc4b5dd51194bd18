import { useRouter } from 'expo-router';
import { useState } from 'react';
import { newId, type FieldProblem } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { Body, Column, FileButton, Figure, Label, Screen, Subheading } from '../../ui';

/** Takes in a chart file from elsewhere; a broken one is refused with where and why. */
export function ImportScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const [failure, setFailure] = useState<{ words: string; fields: readonly FieldProblem[] } | null>(null);
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
        words: error instanceof CallError ? error.message : 'The file could not be read.',
        fields: problem?.fields ?? [],
      });
    }
  };

  return (
    <Screen
      title="Import a chart"
      widest={640}
      onBack={() => router.navigate('/settings')}
      foot={
        <FileButton
          kind="main"
          large
          label="Chart file"
          accept=".json,application/json"
          onFile={(file) => void take(file)}
        >
          Choose a file
        </FileButton>
      }
    >
      <Column gap="$4">
        <Body>
          A chart file (JSON, toile.chart/1 or 2) brings the chart and, if not here yet, the client it was
          made for: face, features, skin and sensitivities, but no contact data.
        </Body>
        {failure ? (
          <Column role="alert" gap="$2">
            <Subheading color="$madder">{`▲ ${file ?? 'The file'}: ${failure.words}`}</Subheading>
            {failure.fields.map((f, i) => (
              <Column key={i} gap={0}>
                <Figure>
                  {f.line === undefined
                    ? f.path
                    : `Line ${f.line}, column ${f.column}${f.path ? `, at ${f.path}` : ''}`}
                </Figure>
                <Body>{f.message}</Body>
              </Column>
            ))}
            <Label>Nothing in the studio has changed.</Label>
          </Column>
        ) : null}
      </Column>
    </Screen>
  );
}
