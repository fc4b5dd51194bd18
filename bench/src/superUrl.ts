/** The database as its superuser, whom row security lets write for every studio. */
export function superUrlOf(appUrl: string): string {
  const url = new URL(process.env.TOILE_SUPER_URL ?? '');
  url.pathname = new URL(appUrl).pathname;
  return url.toString();
}
