import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  documentHash,
  lookFromPattern,
  lookOnPattern,
  msg,
  PATTERN_SKIN_NAMES,
  patternClient,
  term,
  type Chart,
  type Look,
} from '@toile/core';
import { call, currentOf } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, DraftNote, Field, Label, Line, Screen, useRoomy } from '../../ui';
import { ChartEditor } from '../chart/ChartEditor';
import { errorsOf, forbidsOfForm, formOf, tagsOf, type LookForm } from './lookForm';
import { LookFormFields } from './LookFormFields';

type Work = {
  readonly look: Look;
  readonly form: LookForm;
  readonly chart: Chart;
  readonly reason: string;
};

type LookWorkshopProps = {
  /** What it starts from: the newest version of a look, or one that is not kept yet. */
  readonly start: () => Look;
  /** Under which name its changes wait on the device. */
  readonly draftName: string;
  readonly isNew: boolean;
  /** Goes on from what somebody else saved meanwhile. */
  readonly onTheirs?: (look: Look) => void;
  readonly onBack: () => void;
};

/**
 * A look on the pattern face, all of it open: steps, places, what each asks of a kit, and what is said of the
 * whole.
 */
export function LookWorkshop({ start, draftName, isNew, onTheirs, onBack }: LookWorkshopProps) {
  const router = useRouter();
  const refresh = useRefresh();
  const roomy = useRoomy();
  const draft = useDraft<Work>(draftName, () => {
    const look = start();
    return { look, form: formOf(look), chart: lookOnPattern(look), reason: '' };
  });
  const { value: work, set } = draft;
  const { look, form, reason } = work;
  const change = (part: Partial<Work>): void => set((before) => ({ ...before, ...part }));
  const {
    busy,
    failure,
    save: keep,
  } = useSaving(msg`Something went wrong. What you did is kept; try again.`);
  const errors = errorsOf(form);
  const chart = useMemo(() => ({ ...work.chart, forbids: forbidsOfForm(form) }), [work.chart, form]);

  const [theirs, setTheirs] = useState<Look | null>(null);

  /**
   * Saves it as the version after the one it began from, or knowingly after what somebody else saved
   * meanwhile.
   */
  const save = async (after: Look = look): Promise<void> => {
    await keep(async () => {
      setTheirs(null);
      const next: Look = {
        ...lookFromPattern(chart, look),
        ...(isNew ? {} : { version: after.version + 1, parent: after.version }),
        reason: reason.trim(),
        name: form.name.trim(),
        description: form.description.trim(),
        tags: tagsOf(form),
        forbids: forbidsOfForm(form),
      };
      const kept = await call('createLook', {
        body: { look: next },
        idempotencyKey: documentHash(next),
      }).catch((error: unknown) => {
        setTheirs(currentOf('createLook', error));
        throw error;
      });
      draft.drop();
      await refresh({ name: 'look', params: { id: look.id }, answer: kept });
      router.replace(`/looks/${look.id}`);
    });
  };

  return (
    <Screen
      fill={roomy}
      title={isNew ? form.name.trim() || msg`A new look` : look.name}
      above={isNew ? msg`not kept yet` : msg`from version ${look.version}`}
      onBack={onBack}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          {theirs ? (
            <Line>
              <Label flex={1}>{msg`Version ${theirs.version} is by ${theirs.author}.`}</Label>
              <Button
                onPress={() => (draft.drop(), onTheirs?.(theirs), void refresh())}
              >{msg`Take theirs`}</Button>
              <Button
                onPress={() => void save(theirs)}
              >{msg`Save mine as version ${theirs.version + 1}`}</Button>
            </Line>
          ) : null}
          {errors.name ? (
            <Body role="alert" color="$weld">{msg`▲ ${errors.name}, under About it`}</Body>
          ) : null}
          <Button
            kind="main"
            large
            disabled={busy || errors.name !== undefined || chart.steps.some((s) => s.title.trim() === '')}
            onPress={() => void save()}
          >
            {isNew ? msg`Keep the look` : msg`Save version ${look.version + 1}`}
          </Button>
        </Column>
      }
    >
      <ChartEditor
        chart={chart}
        kit={undefined}
        editable
        onChange={(next) => change({ chart: next })}
        above={<DraftNote {...draft} />}
        about={
          <Column gap="$4">
            <LookFormFields form={form} onChange={(next) => change({ form: next })} errors={errors} />
            {isNew ? null : (
              <Field
                label={msg`Why this version`}
                value={reason}
                onChange={(words) => change({ reason: words.slice(0, 4000) })}
              />
            )}
          </Column>
        }
        more={PATTERN_SKIN_NAMES.map((skin) => ({
          words: msg`On ${term(skin)} skin`,
          onPress: () => change({ chart: { ...work.chart, client: patternClient(skin) } }),
        }))}
      />
    </Screen>
  );
}
