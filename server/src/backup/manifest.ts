import { Type, type Static } from '@sinclair/typebox';
import { BUNDLE_TABLES, type BundleTable } from '@toile/contract';

export const BACKUP_FORMAT = 'toile.backup/1';
export const MANIFEST = 'manifest.json';
const closed = { additionalProperties: false } as const;

/** What a backup holds: every file in it with what it must be. */
export const ManifestSchema = Type.Object(
  {
    format: Type.Literal(BACKUP_FORMAT),
    studio: Type.Object({ id: Type.String({ pattern: '^[0-9a-f-]{36}$' }), name: Type.String() }, closed),
    madeAt: Type.String(),
    files: Type.Array(
      Type.Object(
        {
          name: Type.String(),
          table: Type.Unsafe<BundleTable>(Type.Union(BUNDLE_TABLES.map((table) => Type.Literal(table)))),
          rows: Type.Integer({ minimum: 0 }),
          sha256: Type.String({ pattern: '^[0-9a-f]{64}$' }),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type Manifest = Static<typeof ManifestSchema>;
