import { askEarly } from './askEarly';

/** Where the built app has the screens that draw and compute, filled in when it is built. */
declare const WORK_FILE: string;
/** Where it has Today. */
declare const TODAY_FILE: string;

// The first script of every page.
askEarly({ work: WORK_FILE, today: TODAY_FILE });
