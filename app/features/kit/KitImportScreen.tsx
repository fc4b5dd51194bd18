import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { KIT_COLUMN_NAMES, msg, NEEDED_COLUMNS, plural, type ColumnMapping } from '@toile/core';
import { newId, type ImportKitAnswer, type KitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useKit, useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, FileButton, Label, Line, Loading, Ready, Screen } from '../../ui';
import { askShades, useWork } from '../../workers';
import { decoded, importSummary, mapped } from './importView';
import { ColumnsMatched, RowsLeftOut, RowsToCome } from './KitFileRead';
import { productsToRead, readInWords } from './toRead';

type Chosen = { readonly name: string; readonly text: string; readonly key: string };

/**
 * A kit from a CSV file: columns matched, every row shown or said what is wrong, and nothing written until it
 * is accepted.
 */
export function KitImportScreen() {
  const kit = useKit();
  const router = useRouter();
  const [file, setFile] = useState<Chosen | null>(null);
  const take = async (chosen: File): Promise<void> =>
    setFile({ name: chosen.name, text: decoded(await chosen.arrayBuffer()), key: newId() });
  return (
    <Ready remote={kit}>
      {(data) =>
        file ? (
          <Preview key={file.key} file={file} kit={data} onOther={(chosen) => void take(chosen)} />
        ) : (
          <Screen
            title={msg`Bring in a kit`}
            widest={760}
            onBack={() => router.navigate('/kit')}
            foot={
              <FileButton
                kind="main"
                large
                label={msg`Kit file`}
                accept=".csv,.txt,text/csv"
                onFile={(chosen) => void take(chosen)}
              >{msg`Choose a CSV file`}</FileButton>
            }
          >
            <Column>
              <Body>{msg`One row for each bottle, pan or stick. Needed: maker, line, shade, kind (foundation, lipstick, as you call it). Taken too, where they are there; else as such a thing usually comes:`}</Body>
              <Label>{KIT_COLUMN_NAMES.filter((c) => !NEEDED_COLUMNS.includes(c)).join(', ')}.</Label>
              <Body>{msg`Commas, semicolons or tabs, decimal points or commas. You see everything before anything is written.`}</Body>
            </Column>
          </Screen>
        )
      }
    </Ready>
  );
}

type PreviewProps = {
  readonly file: Chosen;
  readonly kit: KitAnswer;
  readonly onOther: (file: File) => void;
};

function Preview({ file, kit, onOther }: PreviewProps) {
  const router = useRouter();
  const refresh = useRefresh();
  const [mapping, setMapping] = useState<ColumnMapping | null>(null);
  const { busy, failure, save: keep } = useSaving(msg`Something went wrong; nothing was written. Try again.`);
  const [taken, setTaken] = useState<ImportKitAnswer | null>(null);
  const [owned, setOwned] = useState(true);
  const asked = useMemo(() => ({ text: file.text, mapping, kit, owned }), [file, mapping, kit, owned]);
  const { answer: read, error } = useWork(askShades, 'readKit', taken ? null : asked);
  const summary = read ? importSummary(read) : null;
  const unread = productsToRead(kit).length;
  const accept = async (): Promise<void> => {
    await keep(async () => {
      const body = { text: file.text, mapping: read!.mapping, leaveOutWrong: true, owned };
      setTaken(await call('importKit', { body, idempotencyKey: file.key }));
      await refresh();
    });
  };
  return (
    <Screen
      title={msg`Bring in a kit`}
      above={file.name}
      onBack={() => router.navigate('/kit')}
      foot={
        taken ? (
          <Line flexWrap="nowrap">
            <Button
              kind={unread > 0 ? 'quiet' : 'main'}
              large
              grow
              onPress={() => router.navigate('/kit')}
            >{msg`To the kit`}</Button>
            {unread > 0 ? (
              <Button kind="main" large grow onPress={() => router.navigate('/kit/colours')}>
                {readInWords(unread)}
              </Button>
            ) : null}
          </Line>
        ) : (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Line flexWrap="nowrap">
              <FileButton
                large
                label={msg`Kit file`}
                accept=".csv,.txt,text/csv"
                onFile={onOther}
              >{msg`Another file`}</FileButton>
              <Button
                kind="main"
                large
                grow
                disabled={busy || !summary || summary.good === 0}
                onPress={() => void accept()}
              >
                {summary && summary.good > 0
                  ? msg`Take in ${plural(summary.good)`${summary.good} row|${summary.good} rows`}`
                  : msg`Nothing to take in`}
              </Button>
            </Line>
          </Column>
        )
      }
    >
      {taken ? (
        <Column gap="$3">
          <Body
            color="$moss"
            role="status"
          >{msg`✓ ${plural(taken.products)`one product|${taken.products} products`} and ${plural(taken.units)`one unit|${taken.units} units`} came in${taken.leftOut > 0 ? plural(taken.leftOut)`; one row was left out|; ${taken.leftOut} rows were left out` : ''}.`}</Body>
          {unread > 0 ? (
            <Body>{msg`${unread} of the kit have no colour read yet. Until they are, bases and concealers are not proposed for anybody, and of several blushes or lips none is taken by itself.`}</Body>
          ) : null}
        </Column>
      ) : error ? (
        <Body role="alert" color="$madder">{`▲ ${error}`}</Body>
      ) : read && summary ? (
        <Column gap="$4">
          {read.problems.map((p) => (
            <Body key={p} role="alert" color="$madder">{`▲ ${p}`}</Body>
          ))}
          {read.rows.length > 0 && !read.saysUnits ? (
            <Choice
              label={msg`The file does not say what you own. These rows are`}
              options={['mine', 'a list']}
              words={{ mine: msg`in my kit, one of each`, 'a list': msg`a list to choose from` }}
              chosen={[owned ? 'mine' : 'a list']}
              onChange={([chosen]) => chosen && setOwned(chosen === 'mine')}
            />
          ) : null}
          {read.rows.length > 0 ? <Body fontWeight="700">{summary.words}</Body> : null}
          {summary.amounts ? <Body>{summary.amounts}</Body> : null}
          <RowsLeftOut read={read} />
          <ColumnsMatched
            read={read}
            onChange={(column, header) => setMapping((m) => mapped(m ?? read.mapping, column, header))}
          />
          <RowsToCome read={read} />
        </Column>
      ) : (
        <Loading words={msg`Reading the file`} />
      )}
    </Screen>
  );
}
