// npm run screenshots: one picture of each main view from the demo, into docs/screenshots.
import { ended, start } from './lib/run.mjs';
import { withServedDemo } from './lib/served.mjs';

const code = await withServedDemo('toile_screenshots', (url) =>
  ended(start('npx', ['tsx', 'e2e/src/screenshots.ts'], { env: { ...process.env, TOILE_URL: url } })),
);
process.exit(code);
