/** A backup by its studio and its day: 'quayside-0190a000-2031-05-14.zip'. */
const NAMED = /^(.+)-(\d{4}-\d{2}-\d{2})\.zip$/;

/** The file of a studio's backup of a day; the id keeps two studios of one name apart. */
export function backupFile(studio: { readonly id: string; readonly name: string }, day: string): string {
  const words = studio.name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40);
  return `${[words, studio.id.slice(-8)].filter(Boolean).join('-')}-${day}.zip`;
}

/**
 * Which backups of a folder go so that each studio keeps its newest ones; what is no backup is never touched.
 */
export function toLetGo(files: readonly string[], keep: number): string[] {
  const byStudio = new Map<string, { name: string; day: string }[]>();
  for (const name of files) {
    const [, studio, day] = NAMED.exec(name) ?? [];
    if (studio === undefined || day === undefined) continue;
    byStudio.set(studio, [...(byStudio.get(studio) ?? []), { name, day }]);
  }
  return [...byStudio.values()].flatMap((own) =>
    own
      .sort((a, b) => b.day.localeCompare(a.day))
      .slice(keep)
      .map(({ name }) => name),
  );
}
