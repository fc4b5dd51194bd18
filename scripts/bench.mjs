// npm run bench: rows with a ratio against a named peer or brute force, measured in the same run.
import { ended, start } from './lib/run.mjs';
import { withServedDemo } from './lib/served.mjs';

const code = await withServedDemo('toile_bench', (url) => ended(start('npx', ['tsx', 'bench/src/main.ts'], { env: { ...process.env, TOILE_URL: url } })));
process.exit(code);
