import { sql } from 'kysely';
import type { OpenedUnits } from './due';

/** What is opened, by its day and its maker's months: counted by the database, so that Today reads no kit. */
export const openedUnitsQuery = () => sql<OpenedUnits>`
    (select u.document ->> 'openedOn' as "openedOn",
      (p.document ->> 'monthsAfterOpening')::float as "monthsAfterOpening", count(*)::int as units
    from units u join products p on p.id = u.product_id
    where u.document ->> 'openedOn' is not null
    group by 1, 2)`;
