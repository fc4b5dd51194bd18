import { sql, type RawBuilder } from 'kysely';

/** A name resembles what was typed from this likeness on (pg_trgm's word similarity). */
const LIKENESS = sql.lit(0.35);

/** Nobody types the apostrophe of O'Brien. */
const plain = (text: RawBuilder<string>): RawBuilder<string> => sql`translate(${text}, '''', '')`;
/** A part of what was typed, worked out once. */
const part = <T>(name: string): RawBuilder<T> => sql`(select ${sql.ref(name)} from typed)`;

/**
 * Which clients (`c`) bear a name like what was typed, accents and apostrophes aside, and what brings the
 * closest to the top. A name holds it, anywhere from three letters in a row on, from a word's start on with
 * fewer; or resembles it. Both are asked only of the few names that share enough threes of letters with it to
 * do either (`name_threes`): as an array, so that they are fetched by their ids and no other name is asked.
 * `typed` is to be asked for first, by that name.
 */
export function namedLike(typed: string) {
  const name = plain(sql`c.folded`);
  const holds = sql<boolean>`
    case when ${part('long')} then ${name} like ${part('within')} else ${name} ~ ${part('starting')} end`;
  const likeness = sql<number>`word_similarity(${part('folded')}, c.folded)`;
  return {
    typed: sql<object>`(
      select folded, plain, threes(folded) as threes, cardinality(inside) > 0 as long,
        '%' || regexp_replace(plain, '([\\\\%_])', '\\\\\\1', 'g') || '%' as within,
        '(^|[^[:alnum:]])' || replace(nullif(words, ''), ' ', '[^[:alnum:]]+') as starting,
        case when cardinality(inside) > 0 then inside else array[substr('  ' || one, length(one), 3)] end as shared,
        greatest(1, cardinality(inside)) as shares
      from (select fold(${typed}) as folded, ${plain(sql`fold(${typed})`)} as plain) said,
        -- Without the edge of a word: whatever holds what was typed holds all of these.
        lateral (select array(select three from unnest(threes(plain)) three where position(' ' in three) = 0) as inside) i,
        lateral (select btrim(regexp_replace(plain, '[^[:alnum:]]+', ' ', 'g')) as words) w,
        lateral (select split_part(words, ' ', 1) as one) o)`,
    named: sql<boolean>`
      c.id = any (array(
        select client_id from name_threes where three = any (${part<string[]>('threes')}::text[])
        group by client_id having count(*) >= ceil(${LIKENESS} * cardinality(${part('threes')}))
        union all
        select client_id from name_threes where three = any (${part<string[]>('shared')}::text[])
        group by client_id having count(*) >= ${part('shares')}))
      and (${holds} or ${likeness} >= ${LIKENESS})`,
    /** Likeness is dear, and asked of nobody who bears the very letters. */
    closest: sql<number>`
      case when ${holds} then case when starts_with(${name}, ${part('plain')}) then 3 else 2 end else ${likeness} end`,
  };
}
