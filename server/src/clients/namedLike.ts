import { sql, type RawBuilder } from 'kysely';

/** A name resembles what was typed from this likeness on (pg_trgm's word similarity). */
const LIKENESS = sql.lit(0.35);

type Text = RawBuilder<string>;
/** Nobody types the apostrophe of O'Brien. */
const withoutApostrophes = (text: Text): Text => sql`translate(${text}, '''', '')`;
const wordsOf = (text: Text): Text => sql`btrim(regexp_replace(${text}, '[^[:alnum:]]+', ' ', 'g'))`;
/** A pattern for what holds a text, in which nothing means anything but itself. */
const holding = (text: Text): Text =>
  sql`'%' || regexp_replace(${text}, '([\\\\%_])', '\\\\\\1', 'g') || '%'`;

/**
 * Which clients (`c`) bear a name like what was typed, accents and apostrophes aside, and what brings the closest to the
 * top. A name holds it, anywhere from three letters in a row on, from a word's start on with fewer; or resembles it.
 * Both are asked only of the few names that share enough threes of letters with it to do either (`name_threes`).
 */
export function namedLike(typed: string) {
  const folded: Text = sql`fold(${typed})`;
  const plain = withoutApostrophes(folded);
  const name = withoutApostrophes(sql`c.folded`);
  const words = wordsOf(plain);
  const first: Text = sql`split_part(${words}, ' ', 1)`;
  const all: RawBuilder<string[]> = sql`threes(${folded})`;
  /** Those without an edge of a word: whatever holds what was typed holds all of them. */
  const inner: RawBuilder<string[]> =
    sql`array(select three from unnest(threes(${plain})) three where position(' ' in three) = 0)`;
  /** The one by which a word begins with the first of one or two letters. */
  const start: RawBuilder<string[]> = sql`array[substr('  ' || ${first}, length(${first}), 3)]`;
  const long: RawBuilder<boolean> = sql`cardinality(${inner}) > 0`;
  const holds: RawBuilder<boolean> = sql`
    case when ${long} then ${name} like ${holding(plain)}
    else ${words} <> '' and ' ' || ${wordsOf(name)} like ${holding(sql`' ' || ${words}`)} end`;
  const likeness: RawBuilder<number> = sql`word_similarity(${folded}, c.folded)`;
  return {
    named: sql<boolean>`
      c.id in (
        select client_id from name_threes where three = any (${all})
        group by client_id having count(*) >= ceil(${LIKENESS} * cardinality(${all}))
        union
        select client_id from name_threes where three = any (case when ${long} then ${inner} else ${start} end)
        group by client_id having count(*) >= greatest(1, cardinality(${inner})))
      and (${holds} or ${likeness} >= ${LIKENESS})`,
    closest: [holds, likeness] as const,
  };
}
