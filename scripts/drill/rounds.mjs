// Kills one part after another while callers write, and says what came of it.
/** `--only WORD`: that part alone. */
const only = process.argv.indexOf('--only') < 0 ? '' : process.argv[process.argv.indexOf('--only') + 1];
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Each part is killed `kills` times, `calmMs` apart. Prints what was acknowledged, lost, doubled, read too
 * old, answered wrongly, and the longest wait of each part beside its limit; gives 0 where all of it is as it
 * must be, else 1.
 */
export async function killInTurn({ parts, kills, calmMs, limits, calling, psql, heldFrom }) {
  const results = [];
  await pause(calmMs);
  for (const [part, kill] of Object.entries(parts).filter(([name]) => name.includes(only))) {
    await calling.takeLongest();
    const before = await calling.counted();
    let longest = 0;
    for (let round = 0; round < kills; round++) {
      await kill(round);
      await pause(calmMs);
      longest = Math.max(longest, await calling.takeLongest());
    }
    const acknowledged = (await calling.counted()) - before;
    results.push({ part, kills, acknowledged, longest: Math.round(longest) });
    console.log(`${part}: ${kills} times`);
  }
  const { acknowledged, strange, reads } = await calling.stop();
  const there = new Set(
    (await psql("select id from units where document ->> 'place' = 'drill'")).split('\n'),
  );
  const lost = acknowledged.filter((id) => !there.has(id)).length;
  const doubled = Number(
    await psql(
      `select count(*) from (select unit_id from unit_ledger l join units u on u.id = l.unit_id
        where u.document ->> 'place' = 'drill' group by unit_id having count(*) > 1) as twice`,
    ),
  );
  console.table(
    results.map(({ longest, ...row }) => ({
      ...row,
      'longest wait, ms': longest,
      'limit, ms': limits[row.part],
    })),
  );
  console.log(
    `${acknowledged.length} writes acknowledged, ${lost} lost, ${doubled} doubled, ${strange.length} answered wrongly`,
  );
  const { standby = 0, database = 0, memory = 0 } = await heldFrom();
  console.log(
    `${reads.right} clients read back as soon as acknowledged, ${reads.old} too old; since the servers last started ` +
      `${standby} answers from the standby, ${database} from the primary, ${memory} held`,
  );
  if (strange.length > 0) console.log(`wrong answers: ${[...new Set(strange)].join(', ')}`);
  const slow = results.filter(({ part, longest }) => longest > limits[part]);
  return lost + doubled + reads.old + strange.length + slow.length === 0 ? 0 : 1;
}
