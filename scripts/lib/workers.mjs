import { rmSync } from 'node:fs';
import path from 'node:path';
import { build, context } from 'esbuild';
import { root } from './paths.mjs';

const ENTRIES = ['fit', 'shade', 'paint', 'plan', 'photo'].map((name) =>
  path.join(root, `app/workers/${name}.worker.ts`),
);
/** Where Expo takes files from that are served as they are, in development and in the built app. */
const OUT = path.join(root, 'app/public/workers');

/** Parts of the polygon clipper that only functions nobody calls here would use. */
const NEVER_CALLED = /^\.\/(RectClip|Minkowski|Triangulation)\.js$/;
const small = {
  name: 'small',
  setup(made) {
    made.onResolve({ filter: NEVER_CALLED }, ({ importer }) =>
      importer.includes('/clipper2-ts/') ? { path: importer, namespace: 'nothing' } : undefined,
    );
    made.onLoad({ filter: /.*/, namespace: 'nothing' }, () => ({ contents: 'module.exports = {}' }));
    made.onResolve({ filter: /^@sinclair\/typebox$/ }, () => ({
      path: path.join(root, 'app/workers/noSchemas.ts'),
    }));
    // What checks documents would find nothing to check them by: dropped with what nobody uses, and the build
    // fails when somebody does.
    made.onResolve({ filter: /^@sinclair\/typebox\// }, ({ path: wanted }) => ({
      path: wanted,
      external: true,
      sideEffects: false,
    }));
    made.onEnd(({ metafile }) => {
      const left = Object.values(metafile?.outputs ?? {}).flatMap(({ imports }) =>
        imports.filter(({ external }) => external).map((one) => one.path),
      );
      return left.length === 0
        ? {}
        : {
            errors: [
              {
                text: `workers are built without schemas (app/workers/noSchemas.ts), but use ${left.join(', ')}`,
              },
            ],
          };
    });
  },
};

const options = {
  entryPoints: ENTRIES,
  outdir: OUT,
  bundle: true,
  // What they share is one file, fetched once whichever is asked first.
  splitting: true,
  format: 'esm',
  target: 'es2022',
  mainFields: ['browser', 'module', 'main'],
  legalComments: 'none',
  plugins: [small],
  define: { 'process.env.NODE_ENV': '"production"' },
  metafile: true,
  logLevel: 'warning',
};

/** Builds the workers small; gives what stands in each file, as esbuild's metafile. */
export async function buildWorkers() {
  rmSync(OUT, { recursive: true, force: true });
  const { metafile } = await build({ ...options, minify: true });
  return metafile;
}

/** Builds the workers whenever a source changes, until the process ends. */
export async function watchWorkers() {
  await (await context({ ...options, sourcemap: 'inline' })).watch();
}
