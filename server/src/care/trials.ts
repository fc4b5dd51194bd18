import { randomUUID } from 'node:crypto';
import {
  aSideAt,
  changedSteps,
  differsBesides,
  documentHash,
  drawPlaces,
  drawSides,
  isLocal,
  msg,
  questionOf,
  questionsSoFar,
  skinGroupOf,
  TRIAL_ZONES,
  trialNow,
  trialVariant,
  withHalves,
  withoutVariant,
  withPlaces,
  zonesCompared,
  type Side,
  type Trial,
  type TrialEvent,
  type TrialRecord,
  type TrialZone,
} from '@toile/core';
import {
  marginOf,
  may,
  ROUTES,
  type QuestionsAnswer,
  type SendTrial,
  type TrialAnswer,
} from '@toile/contract';
import { newestVersion } from '../charts/queries';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import { found, ProblemError, wrong } from '../http/problem';
import { checkedBody, read, write, type Services } from '../http/register';
import { limitTries } from '../http/tries';
import { keepVersion, intoChart, swapAsked } from './trialChart';
import { isOpenTo, trialEventRow, trialRecords, trialRow } from './trialRows';
import { byCaller, questionTold } from './trialTold';
import { LINK_TRIES, MOST_BY_LINK, openWearAnswer, withWearLink, type WearLinkRow } from './wearLink';

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** Questions are answered from so many trials, the newest. */
const MOST_TRIALS = 2000;

/** Half-face trials: declared, drawn once, worn, judged while sealed, decided. */
export function registerTrials(services: Services): void {
  read(services, 'chartTrials', async ({ tx, caller, params }) => {
    found(await tx.selectFrom('charts').select('id').where('id', '=', params.id).executeTakeFirst());
    const records = await trialRecords(tx, { chartId: params.id });
    return { body: await Promise.all(records.reverse().map((one) => trialAnswer(tx, one, caller.name))) };
  });

  read(services, 'trial', async ({ tx, caller, params }) => ({
    body: await trialAnswer(tx, await recordOf(tx, params.id), caller.name),
  }));

  read(services, 'trialQuestions', async ({ tx }) => {
    const questions = questionsSoFar(await trialRecords(tx, { newest: MOST_TRIALS }));
    const ids = [...new Set(questions.flatMap(({ marks }) => marks.map((mark) => mark.clientId)))];
    const names =
      ids.length === 0
        ? []
        : await tx.selectFrom('clients').select(['id', 'name']).where('id', 'in', ids).execute();
    const answer: QuestionsAnswer = {
      questions,
      names: Object.fromEntries(names.map(({ id, name }) => [id, name])),
    };
    return { body: answer };
  });

  read(services, 'exportTrial', async ({ tx, params }) => {
    const record = await recordOf(tx, params.id);
    if (!isOpenTo(record, null)) throw new ProblemError('sealed');
    return {
      body: `${JSON.stringify({ format: 'toile.trial/1', ...record }, null, 2)}\n`,
      file: `trial-${params.id}.json`,
    };
  });

  write(services, 'createTrial', async ({ tx, caller, body, params, now, stale }) => {
    found(await tx.selectFrom('charts').select('id').where('id', '=', params.id).executeTakeFirst());
    await oneAtATime(tx, params.id);
    const saved = found(await newestVersion(tx, params.id));
    // Halves of trials that are over make room.
    const over = (await trialRecords(tx, { chartId: params.id })).filter((one) => isOpenTo(one, null));
    const newest = over.reduce((chart, { trial }) => withoutVariant(chart, trial.variant), saved);
    if (newest.version !== body.version) throw stale(saved, body);
    const swap = await swapAsked(tx, newest, body.ask);
    if (!swap)
      throw wrong('ask', msg`There is nothing of that in this chart, or it is done that way already`);
    const changed = changedSteps(newest, swap);
    const possible = zonesCompared(newest, changed);
    const nowhere = body.zones.findIndex((zone) => !possible.includes(zone));
    if (nowhere >= 0)
      throw wrong(`zones[${nowhere}]`, msg`What differs does not lie there: nothing could be judged`);
    const { question, chartHas } = questionOf(newest, swap, body.measure);
    // Draws of one question follow each other: the coin leans on those before.
    await oneAtATime(tx, `trials ${caller.studioId} ${question.key}`);
    const earlier = await tx
      .selectFrom('trials')
      .select('document')
      .where('question_key', '=', question.key)
      .orderBy('seq')
      .execute();
    const seed = `${caller.studioId}/${body.id}`;
    const zones = TRIAL_ZONES.filter((zone) => body.zones.includes(zone));
    const byPlace = body.design === 'places';
    if (byPlace && !isLocal(changed))
      throw wrong(
        'design',
        msg`Only primer, corrector and powder stay where they are laid: draw for the whole face`,
      );
    if (byPlace && zones.length < 2)
      throw wrong('zones', msg`Choose two places or more: each has a draw of its own`);
    const drawn = byPlace
      ? { places: drawPlaces(seed, zones) }
      : drawSides(
          seed,
          earlier.flatMap(({ document: { draw } }) => ('aSide' in draw ? [draw.aSide] : [])),
        );
    const variant = trialVariant(body.id);
    /** The side on which the chart's own way lies. */
    const hereAt = (zone: TrialZone): Side => {
      const aSide = aSideAt(drawn, zone);
      return chartHas === 'a' ? aSide : otherSide(aSide);
    };
    const halves = await keepVersion(tx, caller, now, newest, msg`Half-face trial: ${question.text}`, () =>
      byPlace
        ? withPlaces(newest, swap, {
            variant,
            other: zones.map((zone) => ({ zone, side: otherSide(hereAt(zone)) })),
            newId: randomUUID,
          })
        : withHalves(newest, swap, { variant, here: hereAt(zones[0]!), newId: randomUUID }),
    );
    const declared: Trial['declared'] = {
      measure: body.measure,
      by: body.by,
      zones,
      hours: [...new Set(body.hours)].sort((a, b) => a - b),
      margin: marginOf(body.measure),
      ...(byPlace ? { design: 'places' } : {}),
    };
    const trial: Trial = {
      format: 'toile.trial/1',
      id: body.id,
      clientId: newest.client.id,
      chartId: newest.id,
      version: halves.version,
      variant,
      date: body.date,
      question,
      chartHas,
      swap,
      declared,
      skin: skinGroupOf(newest.client.features, declared.zones),
      declaredHash: documentHash(declared),
      differs: differsBesides(changed, swap.aspect).map((says) => says.slice(0, 200)),
      draw: { seed, ...drawn, at: now.toISOString(), by: caller.name },
    };
    const inserted = await tx
      .insertInto('trials')
      .values(trialRow(caller.studioId, trial))
      .onConflict((c) => c.doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return {
      status: 201,
      body: await trialAnswer(tx, { trial, events: [] }, caller.name),
      subject: trial.id,
    };
  });

  write(services, 'createTrialEvent', async ({ tx, caller, body, params, now }) => {
    await oneAtATime(tx, params.id);
    const record = await recordOf(tx, params.id);
    const { trial } = record;
    const told = body.event;
    // Whoever works at the chair looks and judges; what becomes of the chart is for whoever may change it.
    if (told.kind === 'decided' && !may(caller.role, 'edit')) throw new ProblemError('not-allowed');
    questionTold(record, told, now);
    const event = await byCaller(tx, record, told, caller.name);
    await keepTrialEvent(tx, caller.studioId, trial, event);
    const version =
      event.kind === 'decided' && body.intoChart
        ? await intoChart(tx, caller, now, trial, event.choice)
        : null;
    const after = { trial, events: [...record.events, event] };
    return {
      status: 201,
      body: { trial: await trialAnswer(tx, after, caller.name), version },
      subject: event.id,
    };
  });

  services.app.post(
    ROUTES.sendTrial.path,
    limitTries(services.db, 'trials', LINK_TRIES),
    async (req, res) => {
      const { token, ...look } = await checkedBody('sendTrial', req.body);
      const answer = await withWearLink(services, token, async (tx, link) => {
        if (link.trial_id === null) throw new ProblemError('link-ended');
        await oneAtATime(tx, link.trial_id);
        const record = await recordOf(tx, link.trial_id);
        // Sent again over a bad network it is the same look.
        if (!record.events.some((event) => event.id === look.id))
          await keepLook(tx, link, record, look, services.clock());
        return openWearAnswer(tx, link);
      });
      res.status(201).json(answer);
    },
  );
}

/** A client's look at both halves, by the declared measure. */
async function keepLook(
  tx: Tx,
  link: WearLinkRow,
  record: TrialRecord,
  { id, at, seen, touched, marks, stings }: Omit<SendTrial, 'token'>,
  now: Date,
): Promise<void> {
  const { trial, events } = record;
  if (events.filter((event) => event.kind === 'looked').length >= MOST_BY_LINK)
    throw new ProblemError('too-many-tries');
  const look = {
    id,
    at: now.toISOString(),
    kind: 'looked' as const,
    judge: 'client' as const,
    lookedAt: at,
    seen: seen.map((one) => ({ ...one, measure: trial.declared.measure })),
    touched,
    marks,
    ...(stings && { stings }),
  };
  // Put on when the link says, where nobody told otherwise since.
  const appliedAt = trialNow(trial, events).appliedAt ?? link.applied_at.toISOString();
  const applied = { id: randomUUID(), at: look.at, by: link.made_by, kind: 'applied' as const, appliedAt };
  const known = events.some((event) => event.kind === 'applied');
  questionTold({ trial, events: known ? events : [...events, applied] }, look, now, (path) =>
    path === 'lookedAt' ? 'at' : path,
  );
  if (!known) await keepTrialEvent(tx, link.studio_id, trial, applied);
  const client = await tx
    .selectFrom('clients')
    .select('name')
    .where('id', '=', trial.clientId)
    .executeTakeFirstOrThrow();
  await keepTrialEvent(tx, link.studio_id, trial, { ...look, by: client.name });
}

async function recordOf(tx: Tx, id: string): Promise<TrialRecord> {
  return found((await trialRecords(tx, { id }))[0]);
}

/** Keeps what was told; told twice it is there already. */
async function keepTrialEvent(tx: Tx, studioId: string, trial: Trial, event: TrialEvent): Promise<void> {
  const inserted = await tx
    .insertInto('trial_events')
    .values(trialEventRow(studioId, trial, event))
    .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!inserted) throw new ProblemError('already-there');
}

/** A trial as its caller may see it. */
async function trialAnswer(tx: Tx, { trial, events }: TrialRecord, name: string): Promise<TrialAnswer> {
  const { draw, chartHas, swap: _swap, ...rest } = trial;
  const open = isOpenTo({ trial, events }, name);
  const over = isOpenTo({ trial, events }, null);
  const client = await tx
    .selectFrom('clients')
    .select('name')
    .where('id', '=', trial.clientId)
    .executeTakeFirstOrThrow();
  return {
    ...rest,
    clientName: client.name,
    drawn: { at: draw.at, by: draw.by },
    draw: open ? draw : null,
    chartHas: open ? chartHas : null,
    events,
    soFar: over ? questionsSoFar(await trialRecords(tx, { question: trial.question.key }))[0]! : null,
  };
}
