/** Ends a drill by a signal or an error as it ends by itself. `stopAll` runs once; gives what runs it. */
export function endedBy(stopAll) {
  let ending = null;
  const end = () => (ending ??= stopAll());
  for (const signal of ['SIGINT', 'SIGTERM', 'uncaughtException', 'unhandledRejection'])
    process.on(signal, (why) => {
      if (why instanceof Error && !ending) console.error(why);
      void end().then(() => process.exit(1));
    });
  return end;
}
