import { writeFileSync } from 'node:fs';
import { demoStudio, secondStudio, SECOND_SIGN_IN, SIGN_INS } from './studio';

// Writes the demo studios as files for the importer: write.ts <folder> <today as YYYY-MM-DD>
const [folder, today] = process.argv.slice(2);
if (!folder || !today) throw new Error('usage: write.ts <folder> <YYYY-MM-DD>');
writeFileSync(`${folder}/quayside.json`, JSON.stringify(demoStudio(today), null, 1));
writeFileSync(`${folder}/millrace.json`, JSON.stringify(secondStudio(), null, 1));
writeFileSync(`${folder}/sign-ins.json`, JSON.stringify([...SIGN_INS, SECOND_SIGN_IN]));
