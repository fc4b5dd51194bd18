import { randomUUID } from 'node:crypto';
import {
  asksReason,
  changedSteps,
  checkTimes,
  differsBesides,
  documentHash,
  drawSides,
  followsCount,
  nextVersion,
  otherWay,
  questionLook,
  questionOf,
  questionsSoFar,
  skinGroupOf,
  swapProduct,
  swapSchool,
  swapStep,
  TRIAL_ZONES,
  trialNow,
  withHalves,
  withoutVariant,
  zonesCompared,
  type Chart,
  type Swap,
  type Trial,
  type TrialEvent,
  type TrialRecord,
  type TrialTold,
} from '@toile/core';
import {
  marginOf,
  may,
  ROUTES,
  type FieldProblem,
  type QuestionsAnswer,
  type SendTrial,
  type TrialAnswer,
  type TrialInput,
} from '@toile/contract';
import { announce } from '../charts/live';
import { insertVersion, newestVersion } from '../charts/queries';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import type { Caller } from '../http/caller';
import { found, ProblemError } from '../http/problem';
import { checkedBody, read, write, type Services } from '../http/register';
import { limitTries } from '../http/tries';
import { fromKit } from '../kit/substitutions';
import { LINK_TRIES, MOST_BY_LINK, openWearAnswer, withWearLink, type WearLinkRow } from './wearLink';
import { isOpenTo, trialEventRow, trialRecords, trialRow } from './trialRows';

/** Questions are answered from so many trials, the newest. */
const MOST_TRIALS = 2000;
/** A phone's clock may be ahead by so much, ms. */
const AHEAD_MS = 10 * 60_000;

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
    if (!swap) throw wrong('ask', 'There is nothing of that in this chart, or it is done that way already');
    const changed = changedSteps(newest, swap);
    const possible = zonesCompared(newest, changed);
    const nowhere = body.zones.findIndex((zone) => !possible.includes(zone));
    if (nowhere >= 0)
      throw wrong(`zones[${nowhere}]`, 'What differs does not lie there: nothing could be judged');
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
    const draw = drawSides(
      seed,
      earlier.map(({ document }) => document.draw.aSide),
    );
    const variant = `trial-${body.id.slice(-12)}`;
    const here = (chartHas === 'a') === (draw.aSide === 'left') ? 'left' : 'right';
    const halves = await keepVersion(tx, caller, now, newest, `Half-face trial: ${question.text}`, () =>
      withHalves(newest, swap, { variant, here, newId: randomUUID }),
    );
    const declared: Trial['declared'] = {
      measure: body.measure,
      by: body.by,
      zones: TRIAL_ZONES.filter((zone) => body.zones.includes(zone)),
      hours: [...new Set(body.hours)].sort((a, b) => a - b),
      margin: marginOf(body.measure),
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
      draw: { seed, ...draw, at: now.toISOString(), by: caller.name },
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
    const before = await recordOf(tx, params.id);
    await oneAtATime(tx, params.id);
    const { trial, events } = await recordOf(tx, before.trial.id);
    const told = body.event;
    // Whoever works at the chair looks and judges; what becomes of the chart is for whoever may change it.
    if (told.kind === 'decided' && !may(caller.role, 'edit')) throw new ProblemError('not-allowed');
    const soFar = questionsSoFar(await trialRecords(tx, { question: trial.question.key }))[0]!;
    questionTold({ trial, events }, told, now);
    const event = byCaller({ trial, events }, told, caller.name, soFar.verdict);
    await keepTrialEvent(tx, caller.studioId, trial, event);
    const version =
      event.kind === 'decided' && body.intoChart
        ? await intoChart(tx, caller, now, trial, event.choice)
        : null;
    const record = await recordOf(tx, trial.id);
    return {
      status: 201,
      body: { trial: await trialAnswer(tx, record, caller.name), version },
      subject: event.id,
    };
  });

  services.app.post(ROUTES.sendTrial.path, limitTries(LINK_TRIES), async (req, res) => {
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
  });
}

/** A client's look at both halves, by the declared measure. */
async function keepLook(
  tx: Tx,
  link: WearLinkRow,
  record: TrialRecord,
  { id, at, seen, marks, stings }: Omit<SendTrial, 'token'>,
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
    touched: [],
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

const wrong = (path: string, message: string): ProblemError =>
  new ProblemError('bad-input', { fields: [{ path, message }] });

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

async function swapAsked(tx: Tx, chart: Chart, ask: TrialInput['ask']): Promise<Swap | null> {
  switch (ask.aspect) {
    case 'product':
      return swapProduct(chart, ask.stepId, await fromKit(tx, { ...ask, parts: [...ask.parts] }));
    case 'tool':
      return swapStep(chart, ask.stepId, { tool: ask.tool });
    case 'technique':
      return swapStep(chart, ask.stepId, { technique: ask.technique });
    case 'step':
      return swapStep(chart, ask.stepId, 'left out');
    case 'school':
      return swapSchool(chart, ask.answers);
  }
}

/** Saves what is made of the newest version as the next; what core refuses is the caller's to mend. */
async function keepVersion(
  tx: Tx,
  caller: Caller,
  now: Date,
  newest: Chart,
  reason: string,
  made: () => Chart,
): Promise<Chart> {
  let next: Chart;
  try {
    next = made();
  } catch (refused) {
    if (refused instanceof RangeError) throw wrong('ask', refused.message);
    throw refused;
  }
  const kept = await insertVersion(
    tx,
    caller.studioId,
    nextVersion(next, newest, { author: caller.name, at: now.toISOString(), reason: reason.slice(0, 4000) }),
  );
  await announce(tx, newest.id);
  return kept;
}

/** What cannot be told now, by field. */
function questionTold(
  { trial, events }: TrialRecord,
  told: TrialTold,
  now: Date,
  pathOf: (path: string) => string = (path) => `event.${path}`,
): void {
  const { appliedAt, looks, state, stung, judgedAt } = trialNow(trial, events);
  const at = (problem: FieldProblem): ProblemError => wrong(pathOf(problem.path), problem.message);
  const ahead = (instant: string): boolean => Date.parse(instant) > now.getTime() + AHEAD_MS;
  if (judgedAt !== null && told.kind !== 'decided' && told.kind !== 'opened')
    throw new ProblemError('judged-already');
  switch (told.kind) {
    case 'opened':
      return;
    case 'applied': {
      if (ahead(told.appliedAt)) throw at({ path: 'appliedAt', message: 'This is still to come' });
      const [first] = looks;
      const late = first && checkTimes({ appliedAt: told.appliedAt, at: first.lookedAt });
      if (late) throw at({ path: 'appliedAt', message: 'It was looked at before that already' });
      return;
    }
    case 'looked': {
      if (ahead(told.lookedAt)) throw at({ path: 'lookedAt', message: 'This is still to come' });
      const problem = questionLook(appliedAt, told);
      if (problem) throw at(problem);
      return;
    }
    case 'ended':
      if (told.why.trim() === '') throw at({ path: 'why', message: 'Say why it was ended' });
      return;
    case 'judged':
      if (looks.length === 0 && stung === null)
        throw at({ path: 'kind', message: 'Nobody has looked at it yet: there is nothing to judge' });
      return;
    case 'decided':
      if (state === 'drawn' || state === 'worn') throw new ProblemError('sealed');
  }
}

/** What was told, as the caller's; a decision is set beside the count, and asked for its reason where it goes against it. */
function byCaller(
  { trial, events }: TrialRecord,
  told: TrialTold,
  by: string,
  verdict: ReturnType<typeof questionsSoFar>[number]['verdict'],
): TrialEvent {
  if (told.kind !== 'decided') return { ...told, by };
  const count = { outcome: trialNow(trial, events).compared.outcome, verdict };
  const asked = asksReason(told.choice, told.scope, count);
  if (asked !== null && told.reason.trim() === '') throw wrong('event.reason', asked);
  return { ...told, by, follows: followsCount(told.choice, told.scope, count) };
}

/** The chart as it was decided: done the other way where that was chosen, and in any case without its two halves. */
async function intoChart(
  tx: Tx,
  caller: Caller,
  now: Date,
  trial: Trial,
  choice: Extract<TrialEvent, { kind: 'decided' }>['choice'],
): Promise<number> {
  await oneAtATime(tx, trial.chartId);
  const newest = found(await newestVersion(tx, trial.chartId));
  const other = (choice === 'a' || choice === 'b') && choice !== trial.chartHas;
  const said = choice === 'a' || choice === 'b' ? trial.question[choice].words : choice;
  const kept = await keepVersion(tx, caller, now, newest, `Decided after a half-face trial: ${said}`, () => {
    const plain = withoutVariant(newest, trial.variant);
    return other ? otherWay(plain, trial.swap) : plain;
  });
  return kept.version;
}

/** A trial as its caller may see it. */
async function trialAnswer(tx: Tx, { trial, events }: TrialRecord, name: string): Promise<TrialAnswer> {
  const { draw, chartHas, swap: _swap, ...rest } = trial;
  const open = isOpenTo({ trial, events }, name);
  const over = isOpenTo({ trial, events }, null);
  const [client, version] = [
    await tx.selectFrom('clients').select('name').where('id', '=', trial.clientId).executeTakeFirstOrThrow(),
    await tx
      .selectFrom('chart_versions')
      .select('document')
      .where('chart_id', '=', trial.chartId)
      .where('version', '=', trial.version)
      .executeTakeFirst(),
  ];
  return {
    ...rest,
    clientName: client.name,
    lookName: version?.document.look.name ?? '',
    drawn: { at: draw.at, by: draw.by },
    draw: open ? draw : null,
    chartHas: open ? chartHas : null,
    events,
    soFar: over ? questionsSoFar(await trialRecords(tx, { question: trial.question.key }))[0]! : null,
  };
}
