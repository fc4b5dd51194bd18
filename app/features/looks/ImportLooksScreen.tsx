import { useRouter } from 'expo-router';
import { useState } from 'react';
import { newId, type ImportLooksAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { call, CallError } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { Body, Column, FileButton, Row, Screen, Subheading } from '../../ui';
import { FileProblems, type FileFailure } from '../files/FileProblems';
import { lookFilesOf } from './lookFiles';

/** Takes in looks from files: one, or a whole library as a zip; all or none. */
export function ImportLooksScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const [file, setFile] = useState('');
  const [failure, setFailure] = useState<FileFailure | null>(null);
  const [answer, setAnswer] = useState<ImportLooksAnswer | null>(null);

  const take = async (chosen: File): Promise<void> => {
    setFile(chosen.name);
    setFailure(null);
    setAnswer(null);
    const read = lookFilesOf(chosen.name, new Uint8Array(await chosen.arrayBuffer()));
    if (!read.ok) return setFailure({ words: read.message, fields: [] });
    try {
      const taken = await call('importLooks', { body: { files: read.files }, idempotencyKey: newId() });
      await refresh();
      setAnswer(taken);
    } catch (error) {
      setFailure({
        words: error instanceof CallError ? error.message : msg`The file could not be read.`,
        fields: error instanceof CallError ? (error.problem?.fields ?? []) : [],
      });
    }
  };

  return (
    <Screen
      title={msg`Bring in looks`}
      widest={640}
      onBack={() => router.navigate('/looks')}
      foot={
        <FileButton
          kind="main"
          large
          label={msg`Look file`}
          accept=".json,.zip,application/json,application/zip"
          onFile={(chosen) => void take(chosen)}
        >{msg`Choose a file`}</FileButton>
      }
    >
      <Column gap="$4">
        <Body>{msg`A look file (JSON, toile.look/1), or a library of them as a zip. A look that is here already gets what the file says as its next version; nothing is overwritten.`}</Body>
        {failure ? <FileProblems file={file} failure={failure} /> : null}
        {answer ? (
          <Column gap="$1" role="status">
            <Subheading>
              {answer.taken.length === 0
                ? msg`All of them are here already, as they are.`
                : msg`${answer.taken.length} brought in${answer.same > 0 ? msg`, ${answer.same} were here already` : ''}`}
            </Subheading>
            {answer.taken.map((look) => (
              <Row
                key={look.id}
                title={look.name}
                detail={look.version === 1 ? msg`new` : msg`version ${look.version}`}
                href={`/looks/${look.id}?ours=1`}
              />
            ))}
          </Column>
        ) : null}
      </Column>
    </Screen>
  );
}
