/** Breakages of one topic, by which tests they must be noticed, most of them in one file. */
const topic =
  (name, tests, usualFile) =>
  (about, from, to, file = usualFile) => ({ topic: name, about, file, from, to, tests });
const outbox = topic('outbox', ['app', 'outbox'], 'app/data/outbox.ts');
const idempotency = topic('idempotency', ['server', 'requests', 'api.test'], 'server/src/http/register.ts');
const ledger = topic('ledger', ['server', 'kit.test', 'manyHands'], 'server/src/kit/ledger.ts');
const sessions = topic(
  'sessions',
  ['server', 'api.test', 'permissions', 'studioFile', 'doors'],
  'server/src/session/routes.ts',
);
const guard = topic('input', ['server', 'fitInput', 'requests'], 'server/src/http/fitInput.ts');
const held = topic('held answers', ['server', 'heldAnswers', 'findClients'], 'server/src/http/readHeld.ts');
const careAtServer = topic(
  'care',
  ['server', 'kit.test', 'today.test', 'shares.test', 'lessons.test', 'compacts.test', 'barredDue'],
  'server/src/kit/substitutions.ts',
);
const care = topic('care', [
  'core',
  'care/',
  'look/substituteInChart',
  'shade/shade.test',
  'day/pack',
  'day/party',
  'lesson/',
]);
const byPlace = topic(
  'care',
  ['core', 'look/look.test', 'look/adapt/', 'look/schools', 'review/borders', 'review/notes'],
  'packages/core/src/shade/usable.ts',
);
const later = topic(
  'care',
  [
    'core',
    'repeat/repeat',
    'trial/touchUp',
    'trial/wearCheck',
    'trial/learned',
    'review/basesOf',
    'look/adapt/',
  ],
  'packages/core/src/repeat/matchAgain.ts',
);
const told = topic('language', ['core', 'messages/'], 'packages/core/src/messages/msg.ts');
const toldByServer = topic('language', ['server', 'language.test'], 'server/src/http/language.ts');
const translated = topic('language', ['languages', 'languages.test'], 'packages/languages/src/translator.ts');
const rows = topic('row security', ['server', 'isolation', 'api.test', 'shares', 'settings']);

/**
 * Each: what is broken in words, where, what stands there (once), what is put in its place, and the tests
 * that must notice.
 */
export const BREAKAGES = [
  told('one takes the form of many', 'return count === 1', 'return count <= 0'),
  told('the form of many takes the values of one', 'values.slice(bar));', 'values);'),
  told('a context is forgotten', 'of === undefined ? word : `${word}_${of}`', 'word'),
  told('values are numbered from one', '`${key}{{${i - 1}}}${part}`', '`${key}{{${i}}}${part}`'),
  told(
    'a number hangs on nothing',
    'translate(messageKey(parts), values, count)',
    'translate(messageKey(parts), values)',
  ),
  told(
    'a table freezes in the language it was read in first',
    'get: () => term(value, of)',
    'value: term(value, of)',
    'packages/core/src/messages/tables.ts',
  ),
  told(
    'lists under a name are left in English',
    'Array.isArray(value) && isMessage(name) ? () => true : isMessage',
    'isMessage',
    'packages/core/src/messages/tables.ts',
  ),
  toldByServer(
    'the browser comes before the device',
    'languageFor(chosen ? [chosen] : req.acceptsLanguages())',
    'languageFor(req.acceptsLanguages())',
  ),
  toldByServer('a cookie of another name chooses', '(?:^|;\\\\s*)${LANGUAGE_COOKIE}', '${LANGUAGE_COOKIE}'),
  toldByServer('caches are not told what an answer hangs on', "res.vary('Cookie, Accept-Language');", ''),
  toldByServer(
    'everybody is told in the language that was asked for last',
    "asked.getStore() === 'id' ? INDONESIAN : null",
    "(globalThis.last = asked.getStore() ?? globalThis.last) === 'id' ? INDONESIAN : null",
  ),
  toldByServer(
    'what is held is told to readers of every language',
    '[name, studioId, role, params, query, languageAsked()]',
    '[name, studioId, role, params, query]',
    'server/src/http/readHeld.ts',
  ),
  toldByServer(
    'a tag says nothing of the language',
    'digest(form, role, languageAsked(), state)',
    'digest(form, role, state)',
    'server/src/http/readHeld.ts',
  ),
  translated('what every object has is taken for a message', 'KNOWN.has(key)', 'key in CATALOGUE'),
  translated('names are read as messages', 'escapeValue: false', 'escapeValue: true'),
  translated(
    'what Indonesian was called before is not known',
    "tag === 'in' ? 'id' : tag",
    'tag',
    'packages/languages/src/index.ts',
  ),
  held(
    'one role is given what another was',
    '[name, studioId, role, params, query, languageAsked()]',
    '[name, studioId, params, query, languageAsked()]',
  ),
  held(
    'one question is given the answer of another',
    'role, params, query, languageAsked()]',
    'role, params, languageAsked()]',
  ),
  held('the minute of an answer is forgotten', '`${rows}@${moment}`', 'rows'),
  held(
    'a tag says nothing of the build',
    'digest(form, role, languageAsked(), state)',
    'digest(role, state)',
  ),
  held('a tag says nothing of the role', 'digest(form, role, languageAsked(), state)', 'digest(form, state)'),
  held(
    'compressed for whoever does not take it',
    "if (!gzip || req.acceptsEncodings(['gzip', 'identity']) !== 'gzip')",
    'if (!gzip)',
  ),
  held(
    'an old state is given',
    'return one?.state === state ? one : null;',
    'return one ?? null;',
    'server/src/http/heldAnswers.ts',
  ),
  held(
    'a standby is read however old it is',
    'of) !== state) return null;',
    "of) === '') return null;",
    'server/src/db/standby.ts',
  ),
  held(
    'a standby that is away is asked each time',
    'awayUntil = clock() + LEFT_ALONE_MS;',
    '',
    'server/src/db/standby.ts',
  ),
  held(
    'a standby that is away is an error of ours',
    'if (working && (!isDatabaseAway(error) || isReadOnly(error))) throw error;',
    'throw error;',
    'server/src/db/standby.ts',
  ),
  held(
    'what is deleted leaves no mark',
    'after insert or update or delete on',
    'after insert or update on',
    'server/src/db/migrations/2026_11_28_28_studio_marks.ts',
  ),
  held(
    'only the first table a transaction writes is marked',
    "studio || ':' || tg_table_name",
    "studio || ':'",
    'server/src/db/migrations/2026_11_28_28_studio_marks.ts',
  ),
  held(
    'a client is held whatever becomes of the charts',
    "  'charts',\n  'chart_versions',\n",
    '',
    'server/src/clients/routes.ts',
  ),
  held(
    'who is renamed is found by the old name',
    "if tg_op <> 'INSERT' then",
    "if tg_op = 'DELETE' then",
    'server/src/db/migrations/2026_11_28_29_name_threes.ts',
  ),
  held(
    'more must be shared than a likeness needs',
    'count(*) >= ceil(',
    'count(*) > ceil(',
    'server/src/clients/namedLike.ts',
  ),
  outbox('sent under whoever is signed in', '.find((item) => item.account === account)', '.find(() => true)'),
  outbox('what has arrived before is refused', "if (problem?.code === 'already-there') return null;", ''),
  outbox(
    'nothing is ever refused for good',
    'if (final && error instanceof CallError) return error.message;',
    '',
  ),
  outbox(
    'signed out is refused for good',
    "['bad-input', 'not-found'",
    "['signed-out', 'bad-input', 'not-found'",
  ),
  outbox(
    'a used key is tried for ever',
    "'not-allowed', 'key-reused', 'judged-already'",
    "'not-allowed', 'judged-already'",
  ),
  outbox('a look at a judged trial is tried for ever', "'key-reused', 'judged-already'", "'key-reused'"),
  outbox('what the device did not keep is not said', 'if (!kept) change(', 'if (kept) change('),
  outbox('what the device did not keep is never tried again', '      await store.add(item);\n', ''),
  outbox('each try has a key of its own', '`event-${item.input.id}`', '`event-${Math.random()}`'),
  outbox(
    'what is told of a party goes to a chart',
    'if (item.chartId !== undefined)',
    'if (item.chartId !== undefined || item.partyId !== undefined)',
  ),
  outbox(
    'what is practised goes to a trial',
    'else if (item.practice) await',
    'else if (item.trialId) await',
  ),
  outbox(
    'what has arrived stays on the device',
    '(why === null ? store.remove(id) : store.refuse',
    '(why === null ? Promise.resolve() : store.refuse',
  ),
  outbox(
    'what was refused is forgotten by the device',
    ': store.refuse({ item, why }))',
    ': store.remove(id))',
  ),
  outbox(
    'nothing is kept before it is sent',
    'const kept = await onDevice((store) => store.add(item));',
    'const kept = true;',
  ),
  outbox('kept and not sent', 'void keep(item).then(flush);', 'void keep(item);'),
  outbox(
    'what did not arrive may be overtaken',
    'return !state.waiting.some(own) && refused() === before;',
    'return refused() === before;',
  ),
  outbox(
    'what was refused counts as taken',
    'return !state.waiting.some(own) && refused() === before;',
    'return !state.waiting.some(own);',
  ),
  outbox(
    'the newest goes first',
    'change({ waiting: [...state.waiting, item] });',
    'change({ waiting: [item, ...state.waiting] });',
  ),
  outbox(
    'never tried again by itself',
    'timer = setTimeout(() => void flush(), RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]);',
    '',
  ),
  outbox('tried ever as soon', 'RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]', 'RETRY_MS[0]'),
  outbox('the page is closed without a word', 'if (state.onPageOnly.size > 0) event.preventDefault();', ''),
  outbox(
    'the page always asks',
    'if (state.onPageOnly.size > 0) event.preventDefault();',
    'event.preventDefault();',
  ),
  outbox(
    'arrived ones are let go of too early',
    'filter((a) => !eventIds.includes(a.input.id))',
    'filter(() => false)',
  ),
  outbox(
    'arrived ones are never let go of',
    'if (left.length < state.arrived.length) change',
    'if (left.length > state.arrived.length) change',
  ),
  outbox('the failure stays when all goes well', 'change({ failure: null });\n  } catch', '} catch'),
  outbox(
    'a broken store ends the sending',
    '    opened = null;\n    return false;',
    '    throw new Error("no store");',
  ),
  outbox(
    'what an earlier version kept is lost',
    'const waiting = readDraft<readonly Outgoing[]>(OLD_KEYS.waiting) ?? [];',
    'const waiting: readonly Outgoing[] = [];',
    'app/data/outboxStore.ts',
  ),
  outbox(
    'what an earlier version kept is taken over each time',
    '  dropDraft(OLD_KEYS.waiting);\n',
    '',
    'app/data/outboxStore.ts',
  ),

  idempotency('another body under a used key gets the first answer', 'earlier.request_hash !== hash || ', ''),
  idempotency(
    'another account gets the first one’s answer',
    ' || earlier.account_id !== caller.accountId',
    '',
  ),
  idempotency(
    'a write without a key is taken',
    "if (!key || key.length > 100) throw new ProblemError('key-missing');",
    '',
  ),
  idempotency('a repeat is done again', 'if (earlier) return earlier;', ''),
  idempotency('the answer is not kept', 'body: JSON.stringify(made.body) })', 'body: null })'),
  idempotency('the status is not kept', '.set({ status: made.status ?? 200,', '.set({ status: 200,'),
  idempotency('keys are let go of while they may come again', 'KEY_DAYS * 86_400_000', '1'),
  idempotency('keys are never let go of', '      await pruneKeys(tx, now);\n', ''),
  idempotency('an unknown field is dropped', 'stripUnknown: false', 'stripUnknown: true'),
  idempotency(
    'what was written is not said in the trace',
    'account_id: accountId, route, subject',
    "account_id: accountId, route: 'signIn', subject",
    'server/src/http/audit.ts',
  ),
  idempotency(
    'who wrote is not said in the trace',
    'account_id: accountId, route',
    'account_id: null, route',
    'server/src/http/audit.ts',
  ),
  idempotency(
    'an edit needs no revision',
    "if (!match) throw new ProblemError('revision-missing');",
    'if (!match) return 1;',
  ),
  idempotency(
    'another revision is the same write',
    'body: req.body as unknown, revision }',
    'body: req.body as unknown }',
  ),

  ledger('less than nothing is left', 'to_jsonb(greatest(0, (document', 'to_jsonb(greatest(-1e9, (document'),
  ledger('taken is put in', 'mg: -mg,', 'mg,'),
  ledger(
    'taken again at each event',
    'const mg = (should.get(id) ?? 0) - (already.get(id) ?? 0);',
    'const mg = should.get(id) ?? 0;',
  ),
  ledger(
    'what was undone is not given back',
    'new Set([...should.keys(), ...already.keys()])',
    'new Set([...should.keys()])',
  ),
  ledger(
    'versions in which the step is other work are counted too',
    "    .where('version', 'in', versions)\n",
    '',
  ),
  ledger(
    'a step told with two versions is taken twice',
    'const versions = [chart.version, ...same.map(({ document }) => document.version)];',
    'const versions = [chart.version];',
    'server/src/charts/told.ts',
  ),
  ledger(
    'a face that is put on again takes nothing',
    'sittings: sittingsOf(rows.map(eventOfRow)).map(',
    'sittings: [rows.map(eventOfRow)].map(',
    'server/src/charts/told.ts',
  ),
  ledger(
    'the other steps of a chart are counted too',
    "    .where('step_id', '=', stepId)\n    .groupBy",
    '    .groupBy',
  ),
  ledger(
    'two phones take the same twice',
    '    await oneAtATime(tx, `${params.id} ${body.stepId}`);\n',
    '',
    'server/src/charts/routes.ts',
  ),
  ledger(
    'an event is not taken from the kit',
    '    await settleStep(tx, caller, version.document, body.stepId);\n',
    '',
    'server/src/charts/routes.ts',
  ),
  ledger(
    'an event twice is two',
    "if (!inserted) throw new ProblemError('already-there');\n    await settleStep",
    'await settleStep',
    'server/src/charts/routes.ts',
  ),
  ledger(
    'a count adds instead of setting',
    'mg: body.remainingMg - unit.remainingMg',
    'mg: body.remainingMg',
    'server/src/kit/routes.ts',
  ),
  ledger(
    'an edit of a unit sets what is left',
    '{ ...body, remainingMg: current.document.remainingMg }',
    'body',
    'server/src/kit/routes.ts',
  ),
  ledger('a bought unit is not written down', 'mg: unit.remainingMg,', 'mg: 0,'),

  sessions(
    'an old session lives on after signing in',
    'req.session.regenerate((error: unknown) => (error ? reject(toError(error)) : resolve())),',
    'resolve(),',
  ),
  sessions(
    'signing out changes nothing',
    'req.session.destroy((error: unknown) => (error ? reject(toError(error)) : resolve())),',
    'resolve(),',
  ),
  sessions(
    'any password fits',
    'if (!(await passwordFits(account?.password_hash, password)) || !account)',
    'if (!account)',
  ),
  sessions('guessing is free', 'app.post(ROUTES.signIn.path, ...doors,', 'app.post(ROUTES.signIn.path,'),
  sessions(
    'each process counts for itself',
    'hits = case when tries.ends <= now() then 1 else tries.hits + 1 end,',
    'hits = 1,',
    'server/src/http/tries.ts',
  ),
  sessions(
    'a session never ends for good',
    'caller && ends > Date.now() ? caller : null',
    'caller && ends > 0 ? caller : null',
    'server/src/http/register.ts',
  ),
  sessions(
    'whoever is signed out may send much',
    '(req.session.caller ? next() : small(req, res, next))',
    '(req.session ? next() : small(req, res, next))',
    'server/src/app.ts',
  ),
  sessions(
    'whoever has no password needs none',
    'return set && fits;',
    'return stored !== undefined && (fits || !set);',
    'server/src/session/passwords.ts',
  ),
  sessions(
    'passwords are kept as they are typed',
    'return hash(password, OPTIONS);',
    'return Promise.resolve(password);',
    'server/src/session/passwords.ts',
  ),
  sessions(
    'the role is not asked',
    "if (needs && !may(caller.role, needs)) throw new ProblemError('not-allowed');",
    '',
    'server/src/http/register.ts',
  ),
  sessions(
    'nobody needs to sign in',
    "if (!caller) throw new ProblemError('signed-out');",
    "if (!caller) return { accountId: '', studioId: '', name: '', email: '', role: 'owner' };",
    'server/src/http/register.ts',
  ),
  sessions(
    'an assistant sees contact data',
    "contact: may(role, 'seeContact') ? row.contact : null,",
    'contact: row.contact,',
    'server/src/clients/routes.ts',
  ),
  sessions(
    'a write from another site is taken',
    "hostOf(origin) !== req.get('host')",
    'false',
    'server/src/app.ts',
  ),

  guard('NUL is let through', '/\\0|\\p{Surrogate}/u', '/\\p{Surrogate}/u'),
  guard('half a pair is let through', '/\\0|\\p{Surrogate}/u', '/\\0/u'),
  guard('however deep', 'depth === DEEPEST', 'depth === DEEPEST * 1000'),
  guard('numbers of any size', 'Math.abs(value) <= Number.MAX_SAFE_INTEGER', 'true'),
  guard(
    'what a schema stumbles over is our fault',
    'if (!(error instanceof ValidationError))',
    'if (!(error instanceof ValidationError)) throw error; else if (false)',
    'server/src/http/register.ts',
  ),
  guard(
    'data the database refuses is our fault',
    "return typeof error.code === 'string' && isSqlState(error.code) && UNKEEPABLE.test(error.code);",
    'return false;',
    'server/src/db/connection.ts',
  ),
  guard(
    'an answer as long as what was sent',
    'text.length > LONGEST_WORDS',
    'false',
    'server/src/http/register.ts',
  ),

  rows(
    'the studio stays set on the connection',
    "'toile.studio_id', ${studioId}, true",
    "'toile.studio_id', ${studioId}, false",
    'server/src/db/connection.ts',
  ),
  rows(
    'tables are guarded against others, not by force',
    'alter table ${table} force row level security',
    'select 1',
    'server/src/db/migrations/2026_11_23_01_ground.ts',
  ),
  rows(
    'links are not guarded',
    'alter table shares enable row level security; alter table shares force row level security',
    'select 1',
    'server/src/db/migrations/2026_11_23_05_shares.ts',
  ),
  rows(
    'settings of all studios are seen',
    'using (studio_id = ${OWN}) with check (studio_id = ${OWN})',
    'using (true) with check (true)',
    'server/src/db/migrations/2026_11_23_03_settings.ts',
  ),
  rows(
    'links may be made for another studio',
    'with check (studio_id = ${OWN})',
    'with check (true)',
    'server/src/db/migrations/2026_11_23_05_shares.ts',
  ),
  rows(
    'history may be rewritten',
    "const changeable = [...GUARDED.filter((t) => !NEVER_CHANGED.includes(t)), 'sessions'];",
    "const changeable = [...GUARDED, 'sessions'];",
    'server/src/db/migrations/2026_11_23_01_ground.ts',
  ),
  careAtServer(
    'a substitute goes into every chart',
    'if (because !== null) {',
    "if (because === 'never') {",
    'server/src/kit/substitutions.ts',
  ),
  careAtServer(
    'a chart is judged by what was noted when it was written',
    'await chartNow(tx, newest, now)',
    'newest',
    'server/src/kit/substitutions.ts',
  ),
  careAtServer(
    'what suits nobody is told as done',
    'if (changed.length === 0)',
    'if (changed.length < 0)',
    'server/src/kit/substitutions.ts',
  ),
  careAtServer(
    'nobody asks for a guardian',
    'return missing === null',
    'return missing !== null',
    'server/src/today/due.ts',
  ),
  care(
    'only the first product of a mix is judged',
    'for (const { product } of parts) {',
    'for (const { product } of parts.slice(0, 1)) {',
    'packages/core/src/look/substituteInChart.ts',
  ),
  care(
    'what goes to the eyes is replaced by anything',
    'const usual = AT_EYES_BY_KIND[product.kind] ??',
    'const usual =',
    'packages/core/src/shade/substitute.ts',
  ),
  care(
    'one of the steps it is used in is enough',
    'asks.every((ask)',
    'asks.some((ask)',
    'packages/core/src/shade/substitute.ts',
  ),
  care(
    'a child is one a year longer',
    'oldest < CHILD_UNDER',
    'oldest <= CHILD_UNDER',
    'packages/core/src/care/minor.ts',
  ),
  care(
    'nobody is asked about in the year of coming of age',
    "oldest === MINOR_UNDER ? 'perhaps' : null",
    'null',
    'packages/core/src/care/minor.ts',
  ),
  care(
    'that a client is a child is not minded later',
    "now.age === 'child' ? now.age : written.age",
    'written.age',
    'packages/core/src/care/mindedNow.ts',
  ),
  care(
    'two at work at once share one unit',
    "if (before.some((one) => one.end > next.start)) return 'at once';",
    '',
    'packages/core/src/day/packParty.ts',
  ),
  care(
    'one unit is in two places',
    'last.place !== next.place',
    'last.place === undefined',
    'packages/core/src/day/packParty.ts',
  ),
  care(
    'what must not be met is taught for home',
    'return first ? `${productName(first.product)}: ${first.why}.` : null;',
    'return null;',
    'packages/core/src/lesson/lesson.ts',
  ),
  care(
    'mascara is handed over for lash extensions',
    'if (extended) return msg`lash extensions are worn`;',
    '',
    'packages/core/src/shade/usable.ts',
  ),
  care(
    'a new season fills a tin with what must not be met',
    'allowedIn(step, after.client).map((product)',
    'step.use.map(({ product })',
    'packages/core/src/lesson/seasons.ts',
  ),
  careAtServer(
    'a shared chart minds what was noted then',
    'share.cautions ? await chartNow(tx, written, services.clock()) : written',
    'written',
    'server/src/shares/routes.ts',
  ),
  careAtServer(
    'a printed chart minds what was noted then',
    'asked.cautions ? await chartNow(tx, written, now) : written',
    'written',
    'server/src/charts/routes.ts',
  ),
  careAtServer(
    'a lesson that is out shows what was noted since',
    'await chartNow(tx, await chartVersion(tx, link.chart_id, version), services.clock()),',
    'await chartVersion(tx, link.chart_id, version),',
    'server/src/lessons/routes.ts',
  ),
  byPlace(
    'lids: only what is called eye make-up is asked whether it is meant for eyes',
    'AT_EYES.includes(role) || touchesEyes(placements);',
    'AT_EYES.includes(role);',
  ),
  byPlace(
    'lids: their primer is the skin’s',
    "step.wants.kinds.includes('primer') && !isAtEyesOrLips(step);",
    "step.wants.kinds.includes('primer');",
    'packages/core/src/look/ofSkin.ts',
  ),
  byPlace(
    'a note on latex is taken for one on nickel',
    "without('nickel', 'nikel')",
    "without('latex', 'lateks')",
    'packages/core/src/look/noteWords.ts',
  ),
  later(
    'a repeat carries what must not be met where nothing stands in for it',
    'if (blocked && !best && barredOf(step, context))',
    'if (false)',
  ),
  later(
    'a touch-up names what must not be met',
    'allowedIn(step, chart.client).map(productName)',
    'step.use.map(({ product }) => productName(product))',
    'packages/core/src/trial/touchUpPlan.ts',
  ),
  later(
    'a base of the neck stands for the nose',
    "one.role === 'base' && liesOn(one, zone)",
    "one.role === 'base'",
    'packages/core/src/trial/wearCheck.ts',
  ),
  later(
    'a base of the lids is the face’s',
    "step.role === 'base' && !isAtEyesOrLips(step) && !isBelowTheJaw(step);",
    "step.role === 'base';",
    'packages/core/src/look/ofSkin.ts',
  ),
  later(
    'every primer of a look goes where it is oily',
    'primers.length < 2 || meant.id === step.id',
    'true',
    'packages/core/src/look/adapt/prime.ts',
  ),
  careAtServer(
    'Today is silent on what a coming chart holds',
    'barredIn(chart.steps, chart.client)',
    'barredIn([], chart.client)',
    'server/src/today/barredDue.ts',
  ),
  careAtServer(
    'a compact is kept with what must not be met',
    'if (barred !== null) throw',
    'if (false) throw',
    'server/src/lessons/compacts.ts',
  ),
];
