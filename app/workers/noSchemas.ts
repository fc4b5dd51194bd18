/**
 * Stands in for the schema builder where workers are built: documents are checked at the door and never in a
 * worker, so what describes them need not travel there. Whatever is built is an empty description; nothing in
 * a worker may look into one.
 */
const nothing: unknown = new Proxy(() => nothing, {
  get: (_, key) => (key === Symbol.toPrimitive ? () => '' : nothing),
});

export const Type = nothing;
