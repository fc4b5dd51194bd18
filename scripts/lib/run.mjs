import { spawn, spawnSync } from 'node:child_process';
import { root } from './paths.mjs';

/** Runs a command to its end, its output shown. Throws when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.status !== 0)
    throw new Error(
      `${command} ${args.join(' ')} ended with ${result.status ?? result.signal ?? result.error?.message}`,
    );
}

/** Runs a command quietly and gives its output; null when it fails. */
export function output(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, encoding: 'utf8', ...options });
  return result.status === 0 ? result.stdout : null;
}

/** Starts a long-running command in its own process. */
export function start(command, args, options = {}) {
  return spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
}

/** Resolves with a process's exit code. */
export const ended = (child) => new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
